/** When the nursery was last copied by `npm run backup`, and whether that is too long ago. */
export interface LastBackup {
  /** moment of the last copy; null: there was none */
  at: string | null;
  old: boolean;
}
