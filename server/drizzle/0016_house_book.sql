CREATE TABLE "entry_acts" (
	"kitchen_id" text NOT NULL,
	"seq" bigint GENERATED ALWAYS AS IDENTITY (sequence name "entry_acts_seq_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"about" text NOT NULL,
	"act" text NOT NULL,
	"entry" jsonb,
	"written_at" timestamp with time zone NOT NULL,
	"brought_by" text,
	CONSTRAINT "entry_acts_kitchen_id_seq_pk" PRIMARY KEY("kitchen_id","seq")
);
--> statement-breakpoint
CREATE TABLE "photos" (
	"kitchen_id" text NOT NULL,
	"id" text NOT NULL,
	"jpeg" "bytea" NOT NULL,
	"kept_at" timestamp with time zone NOT NULL,
	CONSTRAINT "photos_kitchen_id_id_pk" PRIMARY KEY("kitchen_id","id")
);
--> statement-breakpoint
ALTER TABLE "entry_acts" ADD CONSTRAINT "entry_acts_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "entry_acts_about" ON "entry_acts" USING btree ("kitchen_id","about","seq");--> statement-breakpoint
CREATE INDEX "entry_acts_brought" ON "entry_acts" USING btree ("kitchen_id","brought_by");