import { App, ConfigProvider } from 'antd';
import { useLayoutEffect, useMemo, type ReactNode } from 'react';
import { useAppSelector } from './store';
import { antTheme, cssVariables } from './theme';

/** Light or night for everything inside, Ant Design and our own parts alike. */
export function Themed({ children }: { children: ReactNode }) {
  const name = useAppSelector((state) => state.settings.theme);
  const theme = useMemo(() => antTheme(name), [name]);
  useLayoutEffect(() => {
    const root = document.documentElement;
    for (const [key, value] of Object.entries(cssVariables(name))) root.style.setProperty(key, value);
    root.style.colorScheme = name === 'night' ? 'dark' : 'light';
  }, [name]);
  return (
    <ConfigProvider theme={theme} componentSize="middle">
      <App component={false}>{children}</App>
    </ConfigProvider>
  );
}
