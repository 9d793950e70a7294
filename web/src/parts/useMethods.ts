import { findMethod, METHODS, type Method } from '@olvet/core';
import { useListOwnMethodsQuery } from '../app/api';

export interface Methods {
  /** Those one may choose: shipped, then the shop's own in use. */
  all: readonly Method[];
  find: (id: string) => Method | undefined;
}

/** The methods of this house: those that ship and its own. */
export function useMethods(): Methods {
  const { data } = useListOwnMethodsQuery({});
  const own = data?.items ?? [];
  const inUse = own.filter(({ retiredAt }) => !retiredAt).map(({ method }) => method as Method);
  return {
    all: [...METHODS, ...inUse],
    find: (id) => findMethod(id) ?? (own.find((row) => row.id === id)?.method as Method | undefined),
  };
}
