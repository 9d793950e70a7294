import type { ReactNode } from 'react';
import { useGetDoorQuery } from '../app/api';
import { EnterPage } from './EnterPage';

/** Shows the house to whoever was let in, and the way in to others. While nobody answers, what there is. */
export function Door({ children }: { children: ReactNode }) {
  const { data } = useGetDoorQuery();
  return data?.letIn === false ? <EnterPage /> : <>{children}</>;
}
