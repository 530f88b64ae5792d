CREATE TABLE "merchants" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"merchant" jsonb NOT NULL,
	CONSTRAINT "merchants_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
CREATE TABLE "price_lists" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"merchant_id" text NOT NULL,
	"date" date NOT NULL,
	"source" text NOT NULL,
	"file_name" text,
	"kept_at" timestamp with time zone NOT NULL,
	"taken_back_at" timestamp with time zone,
	"text" text NOT NULL,
	"reading" jsonb NOT NULL,
	"text_hash" text NOT NULL,
	"content_hash" text NOT NULL,
	"quotes" jsonb NOT NULL,
	"bad" jsonb NOT NULL,
	"open" jsonb NOT NULL,
	"quote_count" integer NOT NULL,
	"bad_count" integer NOT NULL,
	CONSTRAINT "price_lists_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
CREATE TABLE "rates" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"currency" text NOT NULL,
	"date" date NOT NULL,
	"worth" numeric NOT NULL,
	CONSTRAINT "rates_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
CREATE TABLE "settled_names" (
	"kitchen_id" text NOT NULL,
	"name" text NOT NULL,
	"species" text,
	CONSTRAINT "settled_names_kitchen_id_name_pk" PRIMARY KEY("kitchen_id","name")
);
--> statement-breakpoint
ALTER TABLE "prices" ADD COLUMN "minimum_kg" double precision;--> statement-breakpoint
ALTER TABLE "merchants" ADD CONSTRAINT "merchants_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "price_lists" ADD CONSTRAINT "price_lists_kitchen_id_merchant_id_merchants_kitchen_id_id_fk" FOREIGN KEY ("kitchen_id","merchant_id") REFERENCES "public"."merchants"("kitchen_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rates" ADD CONSTRAINT "rates_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "settled_names" ADD CONSTRAINT "settled_names_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "price_lists_content" ON "price_lists" USING btree ("kitchen_id","content_hash") WHERE "price_lists"."taken_back_at" is null;