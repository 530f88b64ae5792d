CREATE TABLE "leanings" (
	"kitchen_id" text PRIMARY KEY NOT NULL,
	"revision" integer NOT NULL,
	"leanings" jsonb NOT NULL,
	"updated_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "leanings" ADD CONSTRAINT "leanings_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;