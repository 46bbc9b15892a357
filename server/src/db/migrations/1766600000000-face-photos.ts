import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Photos beside the faces of connectors, with the cavities that are marked on them. */
export class FacePhotos1766600000000 implements MigrationInterface {
  name = 'FacePhotos1766600000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "face_photo" ("id" text PRIMARY KEY NOT NULL, "harnessId" text NOT NULL,
      "nodeId" text NOT NULL, "version" integer NOT NULL, "side" text NOT NULL, "name" text NOT NULL,
      "type" text NOT NULL, "sizeBytes" integer NOT NULL, "widthPx" integer NOT NULL, "heightPx" integer NOT NULL,
      "marks" text NOT NULL, "by" text NOT NULL, "at" text NOT NULL, "removed" boolean NOT NULL,
      CONSTRAINT "FK_7dfb7c3f7f6fe2dfb0f99aa2edc" FOREIGN KEY ("harnessId") REFERENCES "harness" ("id")
      ON DELETE NO ACTION ON UPDATE NO ACTION)`);
    await runner.query('CREATE INDEX "face_photo_by_harness" ON "face_photo" ("harnessId")');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "face_photo"');
  }
}
