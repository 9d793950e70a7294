import { Alert } from 'antd';
import { useEffect } from 'react';
import { api } from './api';
import { isUnanswered } from './problem';
import { useAppDispatch, useAppSelector, type AppThunk } from './store';

const AGAIN_MS = 5_000;

/** Says that the server does not answer, and asks again whatever was left open until it does. */
export function Unanswered() {
  const dispatch = useAppDispatch();
  const isOpen = useAppSelector((state) =>
    Object.values(state.api.queries).some((query) => isUnanswered(query?.error)),
  );
  useEffect(() => {
    if (!isOpen) return;
    const timer = setInterval(() => dispatch(askAgain), AGAIN_MS);
    return () => clearInterval(timer);
  }, [isOpen, dispatch]);
  if (!isOpen) return null;
  return (
    <Alert
      banner
      type="error"
      title="Olvet’s server does not answer. This may be old or missing; it is asked again every few seconds."
    />
  );
}

/** A question under way is not asked twice: the library sees to that. */
const askAgain: AppThunk = (dispatch, getState) => {
  for (const query of Object.values(getState().api.queries)) {
    if (!query?.endpointName || !isUnanswered(query.error)) continue;
    const endpoint = api.endpoints[query.endpointName as 'getBoard'];
    void dispatch(endpoint.initiate(query.originalArgs as undefined, { subscribe: false, forceRefetch: true }));
  }
};
