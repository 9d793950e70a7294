import { Button } from 'antd';
import { EmptyState } from '../parts/EmptyState';

/** A page that broke says so and offers a way on; the data is safe on the server. */
export function PageError() {
  return (
    <EmptyState
      title="This page stumbled"
      text="Nothing you saved is lost. Load it again; if it stumbles again, go to the Bar."
      action={
        <Button type="primary" onClick={() => window.location.reload()}>
          Load again
        </Button>
      }
    />
  );
}
