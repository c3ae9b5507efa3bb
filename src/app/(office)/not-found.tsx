import Link from 'next/link';

/** What is not there leaves the rail where it is. */
export default function NotFound() {
  return (
    <div style={{ padding: '24px 20px', maxWidth: 560 }}>
      <h1>Nothing hangs here</h1>
      <p>This page or this order does not exist. Nothing was changed.</p>
      <p>
        <Link href="/today">The day</Link>, or Ctrl K to find an order.
      </p>
    </div>
  );
}
