/** What the server does before it answers: the folder is its own, the data is of its version, its work is begun. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { open } = await import('@/server/work/open');
  await open();
}
