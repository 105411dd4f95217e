/** How far a task is, and what it is at. */
export interface TaskProgress {
  done: number;
  of: number;
  doing: string;
}
