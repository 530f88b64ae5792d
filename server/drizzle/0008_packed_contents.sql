ALTER TABLE "blobs" ALTER COLUMN "body" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "blobs" ADD COLUMN "packed" "bytea";--> statement-breakpoint
ALTER TABLE "decisions" ADD COLUMN "leader" text;--> statement-breakpoint
ALTER TABLE "decisions" ADD COLUMN "portion_cost" jsonb;--> statement-breakpoint
ALTER TABLE "decisions" ADD COLUMN "sheet_hash" text;--> statement-breakpoint
-- What alerts look at, out of the contents that earlier versions kept as text.
UPDATE "decisions" SET
	"leader" = kept."body"::jsonb #>> '{ranked,0,species}',
	"portion_cost" = (SELECT fish->'portionCost' FROM jsonb_array_elements(kept."body"::jsonb->'ranked') AS fish WHERE fish->>'offerId' = "decisions"."offer_id" LIMIT 1)
FROM "blobs" AS kept WHERE kept."kitchen_id" = "decisions"."kitchen_id" AND kept."hash" = "decisions"."output_hash";--> statement-breakpoint
UPDATE "decisions" SET "sheet_hash" = kept."body"::jsonb->>'sheetHash'
FROM "blobs" AS kept WHERE kept."kitchen_id" = "decisions"."kitchen_id" AND kept."hash" = "decisions"."inputs_hash";
