CREATE TABLE "price_series" (
	"kitchen_id" text NOT NULL,
	"species" text NOT NULL,
	"form" text NOT NULL,
	"origin" text NOT NULL,
	"state" text NOT NULL,
	"part" text NOT NULL,
	"currency" text NOT NULL,
	"merchant" text NOT NULL,
	"quarter" date NOT NULL,
	"packed" "bytea" NOT NULL,
	CONSTRAINT "price_series_pk" PRIMARY KEY("kitchen_id","quarter","species","form","origin","state","part","currency","merchant")
);
--> statement-breakpoint
CREATE TABLE "quotes" (
	"kitchen_id" text NOT NULL,
	"list_id" text NOT NULL,
	"line" integer NOT NULL,
	"species" text NOT NULL,
	"form" text NOT NULL,
	"origin" text,
	"state" text,
	"part" text,
	"grade" text,
	"merchant" text,
	"date" date NOT NULL,
	"price" double precision NOT NULL,
	"currency" text NOT NULL,
	"unit" text NOT NULL,
	"each_g" double precision,
	"minimum_kg" double precision,
	"glaze" double precision,
	CONSTRAINT "quotes_kitchen_id_list_id_line_pk" PRIMARY KEY("kitchen_id","list_id","line")
);
--> statement-breakpoint
ALTER TABLE "price_series" ADD CONSTRAINT "price_series_kitchen_id_kitchens_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "quotes" ADD CONSTRAINT "quotes_kitchen_id_list_id_price_lists_kitchen_id_id_fk" FOREIGN KEY ("kitchen_id","list_id") REFERENCES "public"."price_lists"("kitchen_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "quotes_of_species" ON "quotes" USING btree ("kitchen_id","species","date");--> statement-breakpoint
-- Rows of lists stood in one document a list; each has its place now. Series are laid from them when the server starts.
INSERT INTO "quotes" ("kitchen_id", "list_id", "line", "species", "form", "origin", "state", "part", "grade", "merchant", "date", "price", "currency", "unit", "each_g", "minimum_kg", "glaze")
	SELECT "kitchen_id", "id", (at - 1)::integer, quote->>'species', quote->>'form', quote->>'origin', quote->>'state', quote->>'part', quote->>'grade', quote->>'merchant', coalesce((quote->>'date')::date, "price_lists"."date"), (quote->>'price')::double precision, quote->>'currency', quote->>'unit', (quote->>'eachG')::double precision, (quote->>'minimumKg')::double precision, (quote->>'glaze')::double precision
	FROM "price_lists", jsonb_array_elements("quotes") WITH ORDINALITY AS told(quote, at);--> statement-breakpoint
ALTER TABLE "price_lists" DROP COLUMN "quotes";