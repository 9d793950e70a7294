import { fireEvent, screen } from '@testing-library/react';
import { fakeHouse, pageOf, Refusal, renderPage } from '../../testing/house';
import { RunsPage } from './RunsPage';

const run = (id: string, change: object = {}) => ({
  id,
  coffeeName: 'Saltmarsh',
  stationName: 'Left bar',
  methodName: 'Balance walk',
  status: 'kept',
  startedAt: '2026-03-01T06:41:00.000Z',
  ...change,
});

describe('all dial-ins', () => {
  it('are listed with coffee, station, method and how they ended', async () => {
    const runs = [
      run('a', { status: 'open' }),
      run('b', { methodName: 'Harbour way' }),
      run('c', { status: 'given-up' }),
    ];
    fakeHouse({ '/api/runs': pageOf(runs) });
    renderPage(<RunsPage />, { path: '/dial-in' });
    const rows = await screen.findAllByRole('link');
    expect(rows.map((row) => row.textContent)).toEqual([
      expect.stringMatching(/^SaltmarshLeft barBalance walk.*under way$/),
      expect.stringMatching(/Harbour way.*kept as card$/),
      expect.stringMatching(/given up$/),
    ]);
    fireEvent.click(rows[1]!);
    expect(await screen.findByText('gone to /dial-in/b')).toBeInTheDocument();
  });

  it('come in pages', async () => {
    const asked: string[] = [];
    fakeHouse({
      '/api/runs': (url: URL) => {
        asked.push(url.searchParams.get('page')!);
        return { items: [run(`on ${url.searchParams.get('page')}`)], total: 45, page: 1, pageSize: 20 };
      },
    });
    renderPage(<RunsPage />, { path: '/dial-in', at: '/dial-in?page=2' });
    expect(await screen.findByTitle('3')).toBeInTheDocument();
    fireEvent.click(screen.getByTitle('3'));
    await screen.findAllByRole('link');
    expect(asked).toEqual(['2', '3']);
  });

  it('are not those of the page before where the next one is refused', async () => {
    const first = { items: [run('a')], total: 45, page: 1, pageSize: 20 };
    const { replies } = fakeHouse({ '/api/runs': first });
    renderPage(<RunsPage />, { path: '/dial-in' });
    expect(await screen.findByRole('link')).toBeInTheDocument();
    replies['/api/runs'] = new Refusal(400, { detail: 'There is no such page.', errors: [] });
    fireEvent.click(screen.getByTitle('3'));
    expect(await screen.findByText('There is no such page.')).toBeInTheDocument();
    expect(screen.queryByRole('link')).not.toBeInTheDocument();
  });

  it('tell a newcomer what a dial-in is', async () => {
    fakeHouse({ '/api/runs': pageOf([]) });
    renderPage(<RunsPage />, { path: '/dial-in' });
    expect(await screen.findByText('No dial-in yet')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'To the bar' }));
    expect(await screen.findByText('gone to /')).toBeInTheDocument();
  });

  it('say what the server said when it would not', async () => {
    fakeHouse({ '/api/runs': new Refusal(400, { detail: 'page must be a whole number', errors: [] }) });
    renderPage(<RunsPage />, { path: '/dial-in' });
    expect(await screen.findByText(/page must be a whole number/)).toBeInTheDocument();
  });
});
