/** A file on its way into the project. */
export interface ImportItem {
  id: string;
  name: string;
  state: 'waiting' | 'sending' | 'working' | 'read' | 'done' | 'failed' | 'cancelled';
  /** of the bytes that are sent, 0..1 */
  share: number;
  note?: string;
}

/** Whether it may still become a part of the project: it is on its way, or was read and waits for those that came with it. */
export const isUnplaced = (item: ImportItem) => isRunning(item) || item.state === 'read';

/** Whether it is still on its way. */
export const isRunning = ({ state }: ImportItem) => ['waiting', 'sending', 'working'].includes(state);
