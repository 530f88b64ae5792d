CREATE TABLE "changes" (
	"kitchen_id" text NOT NULL,
	"version" integer NOT NULL,
	"entity" text NOT NULL,
	"entity_id" text DEFAULT '' NOT NULL,
	"actor" text,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "changes_kitchen_id_version_entity_entity_id_pk" PRIMARY KEY("kitchen_id","version","entity","entity_id")
);
--> statement-breakpoint
CREATE TABLE "commands" (
	"kitchen_id" text NOT NULL,
	"key" text NOT NULL,
	"asked" text NOT NULL,
	"status" integer NOT NULL,
	"headers" jsonb NOT NULL,
	"body" jsonb NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "commands_kitchen_id_key_pk" PRIMARY KEY("kitchen_id","key")
);
--> statement-breakpoint
ALTER TABLE "kitchens" ADD COLUMN "version" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "changes" ADD CONSTRAINT "changes_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "commands" ADD CONSTRAINT "commands_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "absences_until" ON "absences" USING btree ("kitchen_id","to_day") WHERE "absences"."taken_back_at" is null;--> statement-breakpoint
CREATE INDEX "price_lists_day" ON "price_lists" USING btree ("kitchen_id","date") WHERE "price_lists"."taken_back_at" is null;--> statement-breakpoint
CREATE INDEX "price_lists_merchant" ON "price_lists" USING btree ("kitchen_id","merchant_id","date");--> statement-breakpoint
-- Of records that were kept twice by two files at once, the last stands; the others can be put back.
UPDATE "seasons" SET "deleted_at" = now() WHERE "deleted_at" is null AND exists (
	SELECT 1 FROM "seasons" AS later WHERE later."kitchen_id" = "seasons"."kitchen_id" AND later."species" = "seasons"."species" AND later."water" = "seasons"."water"
		AND coalesce(later."season"->>'gear', '') = coalesce("seasons"."season"->>'gear', '') AND later."deleted_at" is null
		AND (later."updated_at", later."id") > ("seasons"."updated_at", "seasons"."id"));--> statement-breakpoint
UPDATE "stocks" SET "deleted_at" = now() WHERE "deleted_at" is null AND exists (
	SELECT 1 FROM "stocks" AS later WHERE later."kitchen_id" = "stocks"."kitchen_id" AND later."species" = "stocks"."species"
		AND coalesce(later."stock"->>'water', '') = coalesce("stocks"."stock"->>'water', '') AND coalesce(later."stock"->>'origin', 'wild') = coalesce("stocks"."stock"->>'origin', 'wild')
		AND coalesce(later."stock"->>'gear', '') = coalesce("stocks"."stock"->>'gear', '') AND later."deleted_at" is null
		AND (later."updated_at", later."id") > ("stocks"."updated_at", "stocks"."id"));--> statement-breakpoint
CREATE UNIQUE INDEX "seasons_live" ON "seasons" USING btree ("kitchen_id","species","water",coalesce("season"->>'gear', '')) WHERE "seasons"."deleted_at" is null;--> statement-breakpoint
CREATE UNIQUE INDEX "stocks_live" ON "stocks" USING btree ("kitchen_id","species",coalesce("stock"->>'water', ''),coalesce("stock"->>'origin', 'wild'),coalesce("stock"->>'gear', '')) WHERE "stocks"."deleted_at" is null;