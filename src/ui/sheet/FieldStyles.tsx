'use client';

import { Input, InputNumber, Select } from 'antd';

/**
 * One of each kind of field, never shown. The library takes its variables for a kind out of the page with the last field
 * of it and puts them in again with the next: while the fields of a zone come and go with every choice, the whole page
 * would be styled anew each time.
 */
export function FieldStyles() {
  return (
    <div hidden>
      <Input />
      <InputNumber />
      <Select />
    </div>
  );
}
