CREATE TABLE "cold_places" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"place" jsonb NOT NULL,
	CONSTRAINT "cold_places_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
CREATE TABLE "cold_readings" (
	"kitchen_id" text NOT NULL,
	"place_id" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"celsius" double precision NOT NULL,
	CONSTRAINT "cold_readings_kitchen_id_place_id_at_pk" PRIMARY KEY("kitchen_id","place_id","at")
);
--> statement-breakpoint
CREATE TABLE "looks" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"at" timestamp with time zone NOT NULL,
	"look" jsonb NOT NULL,
	CONSTRAINT "looks_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
CREATE TABLE "lots" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"bought_at" timestamp with time zone NOT NULL,
	"lot" jsonb NOT NULL,
	CONSTRAINT "lots_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
ALTER TABLE "cold_places" ADD CONSTRAINT "cold_places_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cold_readings" ADD CONSTRAINT "cold_readings_kitchen_id_place_id_cold_places_kitchen_id_id_fk" FOREIGN KEY ("kitchen_id","place_id") REFERENCES "public"."cold_places"("kitchen_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "looks" ADD CONSTRAINT "looks_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lots" ADD CONSTRAINT "lots_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cold_readings_at" ON "cold_readings" USING btree ("kitchen_id","at");--> statement-breakpoint
CREATE INDEX "looks_at" ON "looks" USING btree ("kitchen_id","at");--> statement-breakpoint
CREATE INDEX "lots_bought" ON "lots" USING btree ("kitchen_id","bought_at");