CREATE TABLE "blobs" (
	"kitchen_id" text NOT NULL,
	"hash" text NOT NULL,
	"body" text NOT NULL,
	CONSTRAINT "blobs_kitchen_id_hash_pk" PRIMARY KEY("kitchen_id","hash")
);
--> statement-breakpoint
CREATE TABLE "decisions" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"brief_id" text NOT NULL,
	"dish" text NOT NULL,
	"revision" integer NOT NULL,
	"decided_at" timestamp with time zone NOT NULL,
	"species" text NOT NULL,
	"common" text NOT NULL,
	"offer_id" text NOT NULL,
	"form" text NOT NULL,
	"place" integer,
	"fit" double precision,
	"note" text,
	"engine_version" text NOT NULL,
	"snapshot" text NOT NULL,
	"inputs_hash" text NOT NULL,
	"output_hash" text NOT NULL,
	CONSTRAINT "decisions_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
ALTER TABLE "blobs" ADD CONSTRAINT "blobs_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_kitchen_id_inputs_hash_blobs_kitchen_id_hash_fk" FOREIGN KEY ("kitchen_id","inputs_hash") REFERENCES "public"."blobs"("kitchen_id","hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_kitchen_id_output_hash_blobs_kitchen_id_hash_fk" FOREIGN KEY ("kitchen_id","output_hash") REFERENCES "public"."blobs"("kitchen_id","hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "decisions_revision" ON "decisions" USING btree ("kitchen_id","brief_id","revision");