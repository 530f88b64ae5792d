CREATE TABLE "dishes" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"recipe" jsonb NOT NULL,
	CONSTRAINT "dishes_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
CREATE TABLE "servings" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"dish_id" text NOT NULL,
	"day" date,
	"covers" integer,
	"diners" jsonb,
	"choice" jsonb,
	"gone_with_dish" boolean DEFAULT false NOT NULL,
	CONSTRAINT "servings_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
ALTER TABLE "dishes" ADD CONSTRAINT "dishes_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "servings" ADD CONSTRAINT "servings_kitchen_id_dish_id_dishes_kitchen_id_id_fk" FOREIGN KEY ("kitchen_id","dish_id") REFERENCES "public"."dishes"("kitchen_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "servings_dish" ON "servings" USING btree ("kitchen_id","dish_id");--> statement-breakpoint
CREATE INDEX "servings_day" ON "servings" USING btree ("kitchen_id","day");--> statement-breakpoint
-- Each brief becomes a dish and the one serving of it, both under its id: decisions and absences go on meaning the serving.
INSERT INTO "dishes" ("kitchen_id", "id", "revision", "updated_at", "deleted_at", "recipe")
	SELECT "kitchen_id", "id", "revision", "updated_at", "deleted_at", "brief" - 'covers' - 'diners' - 'date' FROM "briefs";--> statement-breakpoint
INSERT INTO "servings" ("kitchen_id", "id", "revision", "updated_at", "deleted_at", "dish_id", "day", "covers", "diners", "choice")
	SELECT "kitchen_id", "id", "revision", "updated_at", "deleted_at", "id", ("brief"->>'date')::date, ("brief"->>'covers')::integer, "brief"->'diners', "choice" FROM "briefs";--> statement-breakpoint
DROP TABLE "briefs";--> statement-breakpoint
ALTER TABLE "decisions" RENAME COLUMN "brief_id" TO "serving_id";--> statement-breakpoint
UPDATE "absences" SET "moves" = coalesce((SELECT jsonb_agg((move - 'briefId') || jsonb_build_object('servingId', move->'briefId') ORDER BY at) FROM jsonb_array_elements("moves") WITH ORDINALITY AS moved(move, at)), '[]'::jsonb);
