import { screen, waitFor } from '@testing-library/react';
import { fakeHouse, pageOf, Refusal, renderPage } from '../../testing/house';
import { useListGrindersQuery, useListMachinesQuery } from './api';
import { Unanswered } from './Unanswered';

function Page() {
  const grinders = useListGrindersQuery({});
  const machines = useListMachinesQuery({});
  return (
    <>
      <Unanswered />
      <p>{grinders.data ? `${grinders.data.total} grinders` : 'no grinders yet'}</p>
      <p>{machines.data ? `${machines.data.total} machines` : 'no machines yet'}</p>
    </>
  );
}

const soon = { timeout: 15_000 };

describe('a server that does not answer', () => {
  it('is said to, is asked again by itself, and the page fills', async () => {
    const { replies } = fakeHouse({ '/api/grinders': new Refusal(502, {}), '/api/machines': pageOf([{ id: 'm' }]) });
    renderPage(<Page />);
    expect(await screen.findByRole('alert')).toHaveTextContent(/server does not answer/);
    expect(screen.getByText('no grinders yet')).toBeInTheDocument();
    replies['/api/grinders'] = pageOf([{ id: 'g' }]);
    expect(await screen.findByText('1 grinders', undefined, soon)).toBeInTheDocument();
    await waitFor(() => expect(screen.queryByRole('alert')).not.toBeInTheDocument());
  });

  it('asks only for what was left open, and not for what was refused', async () => {
    const asked: string[] = [];
    const { replies } = fakeHouse({
      '/api/grinders': new Refusal(404, { detail: 'Nothing here.', errors: [] }),
      '/api/machines': new Refusal(502, {}),
    });
    const house = globalThis.fetch;
    globalThis.fetch = (input, init) => {
      asked.push(new URL((input as Request).url).pathname);
      return house(input, init);
    };
    renderPage(<Page />);
    await screen.findByRole('alert');
    replies['/api/machines'] = pageOf([]);
    expect(await screen.findByText('0 machines', undefined, soon)).toBeInTheDocument();
    expect(asked.filter((path) => path === '/api/grinders')).toHaveLength(1);
    expect(asked.filter((path) => path === '/api/machines')).toHaveLength(2);
  });
});
