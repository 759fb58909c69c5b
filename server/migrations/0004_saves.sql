CREATE TABLE "saves" (
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"taken" boolean NOT NULL,
	"version" integer,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "saves_job_id_id_pk" PRIMARY KEY("job_id","id"),
	CONSTRAINT "saves_job_id_version_unique" UNIQUE("job_id","version")
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "key" uuid DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "stamp" text DEFAULT gen_random_uuid()::text NOT NULL;--> statement-breakpoint
ALTER TABLE "saves" ADD CONSTRAINT "saves_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_key_unique" UNIQUE("key");