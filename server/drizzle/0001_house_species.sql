CREATE TABLE "house_species" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"species" text NOT NULL,
	"hidden" boolean DEFAULT false NOT NULL,
	"patch" jsonb,
	"brought_by" text,
	"replaced_by" text,
	CONSTRAINT "house_species_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
ALTER TABLE "house_species" ADD CONSTRAINT "house_species_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "house_species_live" ON "house_species" USING btree ("kitchen_id","species") WHERE "house_species"."deleted_at" is null;