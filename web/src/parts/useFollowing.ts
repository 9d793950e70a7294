import type { FormInstance } from 'antd';
import { useEffect, useRef } from 'react';

/** What a form says that follows: who was overtaken by another tablet has lost nothing. */
export const ONCE_MORE = 'What they wrote stands in the fields, beside what you typed. Once more, and yours is saved.';

/**
 * Keeps a form beside what is stored while it is open: a value that another tablet changes meanwhile comes into its field, and what was
 * typed over stays until it is what is stored. `stored` are the form's fields as they are kept now; fields that did not change there are left
 * alone.
 */
export function useFollowing<F extends object>(form: FormInstance<F>, stored: Partial<F>): void {
  const before = useRef(stored);
  useEffect(() => {
    const known = new Map(leavesOf(before.current).map(({ name, value }) => [name.join('.'), JSON.stringify(value)]));
    before.current = stored;
    const changed = leavesOf(stored).filter(({ name, value }) => known.get(name.join('.')) !== JSON.stringify(value));
    const isTypedOver = ({ name, value }: Leaf): boolean =>
      form.isFieldTouched(name as never) && JSON.stringify(form.getFieldValue(name as never)) !== JSON.stringify(value);
    const followed = changed.filter((leaf) => !isTypedOver(leaf));
    if (followed.length > 0) form.setFields(followed.map((leaf) => ({ ...leaf, touched: false })) as never);
  }, [form, stored]);
}

interface Leaf {
  name: string[];
  value: unknown;
}

/** Fields inside fields are followed each by itself; lists and dates are one value. */
function leavesOf(value: unknown, name: string[] = []): Leaf[] {
  if (!isPlain(value)) return [{ name, value }];
  return Object.entries(value).flatMap(([key, inner]) => leavesOf(inner, [...name, key]));
}

function isPlain(value: unknown): value is object {
  return typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;
}
