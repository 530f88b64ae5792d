CREATE TABLE "rest_uses" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"serving_id" text NOT NULL,
	"part" text NOT NULL,
	"to_serving" text,
	CONSTRAINT "rest_uses_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
ALTER TABLE "rest_uses" ADD CONSTRAINT "rest_uses_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "rest_uses_live" ON "rest_uses" USING btree ("kitchen_id","serving_id","part") WHERE "rest_uses"."deleted_at" is null;