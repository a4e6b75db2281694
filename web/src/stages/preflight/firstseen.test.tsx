import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { answers, draw, inSight, refused } from '../../testing';
import { FirstSeenPanel } from './FirstSeenPanel';

vi.mock('../../sheet/PageFrame', () => ({ PageFrame: () => null })); // what a page looks like is the browser tests’

beforeEach(inSight);
afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

const FIRST = 'GET /api/brands/{brand_id}/preflight/first-screens/{page_id}';
const glance = (label: string, kind: string, main = false) => ({ label, kind, main, x: 90, y: 40, strength: 1 });
const told = () => screen.getAllByRole('listitem').map((one) => one.textContent);

it('tells in turn what draws the eye on a desktop and on a phone, and whether the main action does', async () => {
  const glances = [glance('Willow for life', 'text'), glance('', 'picture'), glance('Order a basket', 'action', true)];
  answers({
    [FIRST]: {
      screens: [
        { width: 360, height: 640, glances: glances.slice(0, 2) },
        { width: 1280, height: 800, glances },
      ],
    },
  });
  draw(<FirstSeenPanel waiting={false} />);
  expect(await screen.findByText('Order a basket')).toBeVisible();
  expect(told()).toEqual(['1Willow for lifetext', '2A picture that decoratespicture', '3Order a basketmain action']);
  expect(screen.queryByText('None of them is a main action.')).toBeNull();
  expect(screen.getByText(/^A prediction, computed/)).toBeVisible();
  await userEvent.click(screen.getByRole('button', { name: 'Phone' }));
  expect(told()).toHaveLength(2);
  expect(screen.getByText('None of them is a main action.')).toBeVisible();
});

it('says that no browser has seen a page, that one is looking, that nothing stands out, and what went wrong', async () => {
  answers({ [FIRST]: { screens: [] } });
  const { again, unmount } = draw(<FirstSeenPanel waiting={false} />);
  expect(await screen.findByText(/No browser has seen this page/)).toBeVisible();
  again({});
  unmount();
  draw(<FirstSeenPanel waiting />);
  expect(await screen.findByText(/this one comes in its turn/)).toBeVisible();
  answers({ [FIRST]: { screens: [{ width: 1280, height: 800, glances: [] }] } });
  draw(<FirstSeenPanel waiting={false} />);
  expect(await screen.findByText('Nothing on this screen is unlike the rest.')).toBeVisible();
  answers({ [FIRST]: refused(500, 'The studio is out of reach.') });
  draw(<FirstSeenPanel waiting={false} />);
  expect(await screen.findByText('The studio is out of reach.')).toBeVisible();
});
