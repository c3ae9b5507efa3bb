import Link from 'next/link';

export default function NotFound() {
  return (
    <main style={{ padding: 40, maxWidth: 560 }}>
      <h1>Nothing hangs here</h1>
      <p>This page or this order does not exist. Nothing was changed.</p>
      <Link href="/">Back to the rail</Link>
    </main>
  );
}
