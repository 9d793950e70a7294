import type { Migration } from '../src/database/migration';

/** A run sheet shows shots and what was tasted of them: its readers hear of both. */
export const up: Migration['up'] = async ({ run }) => {
  await run(`CREATE TRIGGER tell_run AFTER INSERT OR UPDATE ON shots FOR EACH ROW WHEN (NEW."runId" IS NOT NULL)
    EXECUTE FUNCTION tell_row('Runs', 'runId')`);
  await run(`CREATE TRIGGER tell_row AFTER INSERT OR UPDATE ON tastings
    FOR EACH ROW EXECUTE FUNCTION tell_row('Shots', 'shotId')`);
};

export const down: Migration['down'] = async ({ run }) => {
  await run('DROP TRIGGER tell_row ON tastings');
  await run('DROP TRIGGER tell_run ON shots');
};
