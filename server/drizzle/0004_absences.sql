CREATE TABLE "absences" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"species" text NOT NULL,
	"common" text NOT NULL,
	"offer_id" text,
	"because" text,
	"from_day" date NOT NULL,
	"to_day" date NOT NULL,
	"marked_at" timestamp with time zone NOT NULL,
	"taken_back_at" timestamp with time zone,
	"moves" jsonb NOT NULL,
	CONSTRAINT "absences_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
ALTER TABLE "absences" ADD CONSTRAINT "absences_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;