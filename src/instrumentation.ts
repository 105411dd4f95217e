/** Runs once when the server starts, before it answers anything. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { openStore } = await import('./server/store/open-store');
  openStore();
}
