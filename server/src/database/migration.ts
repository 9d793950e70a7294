export interface MigrationContext {
  run(sql: string): Promise<void>;
}

/** One step of the schema, and the way back. */
export interface Migration {
  up(context: MigrationContext): Promise<void>;
  down(context: MigrationContext): Promise<void>;
}
