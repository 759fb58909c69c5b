CREATE TABLE "events" (
	"seq" bigint GENERATED ALWAYS AS IDENTITY (sequence name "events_seq_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"device" text NOT NULL,
	"kind" text NOT NULL,
	"body" jsonb NOT NULL,
	CONSTRAINT "events_job_id_id_pk" PRIMARY KEY("job_id","id"),
	CONSTRAINT "events_job_id_seq_unique" UNIQUE("job_id","seq")
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "summary" jsonb;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "saves" text[] DEFAULT '{}'::text[] NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "put_away_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "events" ADD CONSTRAINT "events_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;