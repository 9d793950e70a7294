import BgColorsOutlined from '@ant-design/icons/BgColorsOutlined';
import CoffeeOutlined from '@ant-design/icons/CoffeeOutlined';
import InboxOutlined from '@ant-design/icons/InboxOutlined';
import ProfileOutlined from '@ant-design/icons/ProfileOutlined';
import SlidersOutlined from '@ant-design/icons/SlidersOutlined';
import ToolOutlined from '@ant-design/icons/ToolOutlined';
import { useState, type ReactNode } from 'react';
import { NavLink, Outlet, useNavigate, useLocation } from 'react-router';
import { SinceLast } from '../handover/SinceLast';
import { KeptShots } from '../kept/KeptShots';
import { useLive } from '../live/useLive';
import { useShortcuts } from '../parts/useShortcuts';
import styles from './Layout.module.css';
import { DueBadge } from './DueBadge';
import { useNoHeldEnter } from './useNoHeldEnter';
import { themeChosen } from './settingsSlice';
import { ShortcutsHelp } from './ShortcutsHelp';
import { useAppDispatch, useAppSelector } from './store';
import { WhoIsHere } from './WhoIsHere';
import { Unanswered } from './Unanswered';

interface Place {
  to: string;
  name: string;
  icon: ReactNode;
}

/** In the order of the day; the position is the shortcut. */
const PLACES: Place[] = [
  { to: '/', name: 'Bar', icon: <CoffeeOutlined /> },
  { to: '/dial-in', name: 'Dial-in', icon: <SlidersOutlined /> },
  { to: '/cards', name: 'Cards', icon: <ProfileOutlined /> },
  { to: '/shelf', name: 'Shelf', icon: <InboxOutlined /> },
  { to: '/workshop', name: 'Workshop', icon: <ToolOutlined /> },
];

export function Layout() {
  const navigate = useNavigate();
  const { pathname, search } = useLocation();
  const dispatch = useAppDispatch();
  const theme = useAppSelector((state) => state.settings.theme);
  const [helpOpen, setHelpOpen] = useState(false);
  useNoHeldEnter();
  useLive();
  useShortcuts({
    ...Object.fromEntries(PLACES.map(({ to }, i) => [String(i + 1), () => void navigate(to)])),
    '?': () => setHelpOpen(true),
  });
  return (
    <div className={styles.house}>
      <a className={styles.skip} href="#place">
        Skip to the page
      </a>
      <nav className={styles.rail} aria-label="Places">
        <span className={styles.mark}>olvet</span>
        {PLACES.map(({ to, name, icon }) => (
          <NavLink
            key={to}
            to={to}
            end={to === '/'}
            className={({ isActive }) => (isActive ? styles.chosen : styles.place)!}
          >
            <span className={styles.icon} aria-hidden>
              {icon}
            </span>
            {name}
            {to === '/' && <DueBadge />}
          </NavLink>
        ))}
        <WhoIsHere />
        <button
          type="button"
          className={styles.theme}
          onClick={() => dispatch(themeChosen(theme === 'light' ? 'night' : 'light'))}
        >
          <span className={styles.icon} aria-hidden>
            <BgColorsOutlined />
          </span>
          {theme === 'light' ? 'Night' : 'Day'}
        </button>
      </nav>
      <main id="place" data-place={pathname + search} className={styles.room} tabIndex={-1}>
        <Unanswered />
        <KeptShots />
        <SinceLast />
        <Outlet />
      </main>
      <ShortcutsHelp open={helpOpen} onClose={() => setHelpOpen(false)} />
    </div>
  );
}
