import type { MigrationInterface, QueryRunner } from 'typeorm';

interface OldRun {
  readonly harnessId: string;
  readonly id: string;
  readonly name: string;
  readonly cable: string;
}
interface OldCable {
  readonly outerMm: number;
  readonly unusedCores: number;
}
interface NewCable {
  readonly outerMm?: number;
  readonly runIds: readonly string[];
  readonly spares: readonly object[];
}

/** A cable is a thing of its own, with its cores: it was a figure of its run, of which every circuit was a core. */
export class OwnCables1765600000000 implements MigrationInterface {
  name = 'OwnCables1765600000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "harness" ADD COLUMN "cables" text NOT NULL DEFAULT '[]'`);
    const runs = (await runner.query(
      `SELECT "harnessId", "id", "name", "cable" FROM "run" WHERE "cable" IS NOT NULL`,
    )) as readonly OldRun[];
    const byHarness = new Map<string, object[]>();
    for (const { harnessId, id, name, cable } of runs) {
      const { outerMm, unusedCores } = JSON.parse(cable) as OldCable;
      const cores = (await runner.query(
        `SELECT "circuit"."id" FROM "circuit", json_each("circuit"."runIds") WHERE "circuit"."harnessId" = ? AND json_each.value = ? ORDER BY "circuit"."position"`,
        [harnessId, id],
      )) as readonly { readonly id: string }[];
      const made = byHarness.get(harnessId) ?? [];
      byHarness.set(harnessId, made);
      made.push({
        id: `cable-${id}`,
        name: `Cable of ${name}`,
        outerMm,
        runIds: [id],
        coreIds: cores.map((core) => core.id),
        spares: Array.from({ length: unusedCores }, () => ({})),
      });
    }
    for (const [harnessId, cables] of byHarness)
      await runner.query(`UPDATE "harness" SET "cables" = ? WHERE "id" = ?`, [JSON.stringify(cables), harnessId]);
    await runner.query('ALTER TABLE "run" DROP COLUMN "cable"');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "run" ADD COLUMN "cable" text');
    const rows = (await runner.query(`SELECT "id", "cables" FROM "harness" WHERE "cables" <> '[]'`)) as readonly {
      readonly id: string;
      readonly cables: string;
    }[];
    for (const { id, cables } of rows)
      for (const { outerMm, runIds, spares } of JSON.parse(cables) as readonly NewCable[]) {
        // A run could not say that it is a cable which nobody has measured.
        if (outerMm === undefined) continue;
        for (const runId of runIds)
          await runner.query(`UPDATE "run" SET "cable" = ? WHERE "harnessId" = ? AND "id" = ?`, [
            JSON.stringify({ outerMm, unusedCores: spares.length }),
            id,
            runId,
          ]);
      }
    await runner.query('ALTER TABLE "harness" DROP COLUMN "cables"');
  }
}
