import { InputNumber, type InputNumberProps } from 'antd';
import type { KeyboardEvent } from 'react';

/** A typed number, with a decimal comma or point; no arrows, which wet fingers miss. */
export function NumberInput(props: InputNumberProps<number>) {
  return (
    <InputNumber<number>
      controls={false}
      inputMode="decimal"
      // The library's own reading drops a comma: 12,5 would be kept as 125.
      parser={(text) => (text ?? '').trim().replace(',', '.') as unknown as number}
      {...props}
    />
  );
}

/** For fields that keep what they hold when they are left: Enter leaves them. */
export function leaveField({ target }: KeyboardEvent): void {
  if (target instanceof HTMLElement) target.blur();
}
