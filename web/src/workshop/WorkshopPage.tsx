import { Tabs } from 'antd';
import { Link, useSearchParams } from 'react-router';
import listStyles from '../parts/List.module.css';
import { BasketsTab } from './BasketsTab';
import { DevicesTab } from './DevicesTab';
import { GrindersTab } from './GrindersTab';
import { MachinesTab } from './MachinesTab';
import { MethodsTab } from './MethodsTab';
import { PeopleTab } from './PeopleTab';
import { ScalesTab } from './ScalesTab';
import { ShopTab } from './ShopTab';
import { StationsTab } from './StationsTab';
import { TabletsTab } from './TabletsTab';
import { TastersTab } from './TastersTab';
import { TransferTab } from '../transfer/TransferTab';
import { ToCorrect } from './ToCorrect';

/** What do we work with? */
export function WorkshopPage() {
  const [search, setSearch] = useSearchParams();
  return (
    <div className={listStyles.page}>
      <header className={listStyles.head}>
        <h1>Workshop</h1>
        <Link to="/measure">Measuring tools</Link>
        <Link to="/care">Care</Link>
      </header>
      <ToCorrect />
      <Tabs
        activeKey={search.get('tab') ?? 'stations'}
        onChange={(tab) => setSearch({ tab })}
        items={[
          { key: 'stations', label: 'Stations', children: <StationsTab /> },
          { key: 'grinders', label: 'Grinders', children: <GrindersTab /> },
          { key: 'machines', label: 'Machines', children: <MachinesTab /> },
          { key: 'baskets', label: 'Baskets', children: <BasketsTab /> },
          { key: 'scales', label: 'Scales', children: <ScalesTab /> },
          { key: 'devices', label: 'Devices', children: <DevicesTab /> },
          { key: 'methods', label: 'Methods', children: <MethodsTab /> },
          { key: 'people', label: 'People', children: <PeopleTab /> },
          { key: 'tasters', label: 'Tasters', children: <TastersTab /> },
          { key: 'tablets', label: 'Tablets', children: <TabletsTab /> },
          { key: 'shop', label: 'Shop', children: <ShopTab /> },
          { key: 'transfer', label: 'In and out', children: <TransferTab /> },
        ]}
      />
    </div>
  );
}
