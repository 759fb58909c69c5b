ALTER TABLE "sources" DROP CONSTRAINT "sources_job_id_name_unique";--> statement-breakpoint
ALTER TABLE "sources" ADD CONSTRAINT "sources_job_id_name_sensors_unique" UNIQUE("job_id","name","sensors");