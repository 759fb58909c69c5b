CREATE TABLE "weather" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "weather_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"job_id" text NOT NULL,
	"name" text NOT NULL,
	"hash" text NOT NULL,
	"start" timestamp with time zone NOT NULL,
	"step" integer NOT NULL,
	"length" integer NOT NULL,
	"quantities" jsonb NOT NULL,
	"series" "bytea" NOT NULL,
	"added_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "weather_job_id_hash_unique" UNIQUE("job_id","hash")
);
--> statement-breakpoint
ALTER TABLE "weather" ADD CONSTRAINT "weather_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;