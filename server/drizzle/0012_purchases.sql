CREATE TABLE "purchases" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone,
	"line" text NOT NULL,
	"date" date NOT NULL,
	"purchase" jsonb NOT NULL,
	CONSTRAINT "purchases_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
ALTER TABLE "purchases" ADD CONSTRAINT "purchases_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "purchases_day" ON "purchases" USING btree ("kitchen_id","date");--> statement-breakpoint
CREATE UNIQUE INDEX "purchases_live" ON "purchases" USING btree ("kitchen_id","line") WHERE "purchases"."deleted_at" is null;