CREATE TABLE "briefs" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"brief" jsonb NOT NULL,
	"choice" jsonb,
	CONSTRAINT "briefs_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
CREATE TABLE "kitchens" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"waters" text NOT NULL,
	"zone" text NOT NULL,
	"currency" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "prices" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"merchant" text,
	"date" date,
	"species" text NOT NULL,
	"origin" text,
	"state" text,
	"part" text,
	"form" text NOT NULL,
	"grade" text,
	"amount" numeric NOT NULL,
	"currency" text NOT NULL,
	"unit" text NOT NULL,
	"each_g" double precision,
	"glaze" double precision,
	CONSTRAINT "prices_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
ALTER TABLE "briefs" ADD CONSTRAINT "briefs_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "prices" ADD CONSTRAINT "prices_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;