'use client';

import { Button } from 'antd';

/** As little as a page of this framework with this library can be: what every other page is measured against. */
export default function Hello() {
  return <Button type="primary">Hello</Button>;
}
