import { ROASTS } from '@olvet/core';
import { Button, DatePicker, Form, Input, InputNumber, Select, Skeleton } from 'antd';
import dayjs, { type Dayjs } from 'dayjs';
import { useState } from 'react';
import { v7 } from 'uuid';
import {
  useGetShopQuery,
  useListBagsQuery,
  useListCoffeesQuery,
  usePutBagMutation,
  usePutCoffeeMutation,
  type BagView,
  type CoffeeDto,
  type CoffeeView,
} from '../app/api';
import { EmptyState } from '../parts/EmptyState';
import { day, money } from '../parts/format';
import { learnedTasteInWords } from '../parts/learned';
import listStyles from '../parts/List.module.css';
import { plural } from '../parts/plural';
import { ProblemAlert } from '../parts/ProblemAlert';
import { ResourceEditor } from '../parts/ResourceEditor';
import { withoutRow } from '../parts/withoutRow';
import styles from './ShelfPage.module.css';

type CoffeeFields = Omit<CoffeeDto, 'revision' | 'retiredAt'>;
interface BagFields {
  roastedOn?: Dayjs | null;
  openedOn?: Dayjs | null;
  weightGrams: number;
  price?: number | null;
}

/** Which coffees, which bags, how old. */
export function ShelfPage() {
  const { data: coffees, error } = useListCoffeesQuery({ pageSize: 200 });
  const { data: bags } = useListBagsQuery({ pageSize: 200 });
  const { data: shop } = useGetShopQuery();
  const [putCoffee] = usePutCoffeeMutation();
  const [putBag] = usePutBagMutation();
  const [coffee, setCoffee] = useState<{ id: string; row: CoffeeView | null } | null>(null);
  const [bag, setBag] = useState<{ id: string; coffee: CoffeeView } | null>(null);
  if (error) return <ProblemAlert error={error} />;
  if (!coffees || !bags) return <Skeleton active className={listStyles.page} />;
  const currency = shop?.currency ?? 'EUR';
  const add = (
    <Button type="primary" size="large" onClick={() => setCoffee({ id: v7(), row: null })}>
      Add a coffee
    </Button>
  );
  const saveCoffee = async (fields: CoffeeFields): Promise<unknown> => {
    const { id, row } = coffee!;
    const done = await putCoffee({ id, coffeeDto: { ...(row ? withoutRow(row) : {}), ...fields } });
    return 'error' in done ? done.error : undefined;
  };
  const saveBag = async ({ roastedOn, openedOn, weightGrams, price }: BagFields): Promise<unknown> => {
    const { id, coffee: of } = bag!;
    const bagDto = {
      coffeeId: of.id,
      roastedOn: roastedOn?.format('YYYY-MM-DD') ?? null,
      openedOn: openedOn?.format('YYYY-MM-DD') ?? null,
      weightGrams,
      priceCents: price == null ? null : Math.round(price * 100),
    };
    const done = await putBag({ id, bagDto });
    return 'error' in done ? done.error : undefined;
  };
  const retire = async (row: CoffeeView): Promise<void> => {
    await putCoffee({
      id: row.id,
      coffeeDto: { ...withoutRow(row), retiredAt: row.retiredAt ? null : new Date().toISOString() },
    });
    setCoffee(null);
  };
  return (
    <div className={listStyles.page}>
      {coffees.total === 0 ? (
        <EmptyState
          title="The shelf is empty"
          text="Each coffee stands here with its roast, its bags, and how many days they are off roast."
          action={add}
        />
      ) : (
        <>
          <header className={listStyles.head}>
            <h1>Shelf</h1>
            {add}
          </header>
          <ul className={listStyles.list}>
            {coffees.items.map((row) => (
              <li key={row.id} className={styles.row}>
                <div>
                  <h2>{row.name}</h2>
                  <p className="quiet small">
                    {[row.roaster, row.origin, row.process, row.altitudeM == null ? null : `${row.altitudeM} m`]
                      .filter(Boolean)
                      .join(' · ')}
                  </p>
                  {row.notes && <p className="small">{row.notes}</p>}
                  {row.learnedTaste && <p className="quiet small">Learned: {learnedTasteInWords(row.learnedTaste)}</p>}
                </div>
                <p>
                  {row.roast}
                  {row.retiredAt && <span className="quiet"> · no longer served</span>}
                </p>
                <Bags bags={bags.items.filter(({ coffeeId }) => coffeeId === row.id)} currency={currency} />
                <div className={styles.actions}>
                  <Button onClick={() => setBag({ id: v7(), coffee: row })}>New bag</Button>
                  <Button onClick={() => setCoffee({ id: row.id, row })} aria-label={`Edit ${row.name}`}>
                    Edit
                  </Button>
                </div>
              </li>
            ))}
          </ul>
        </>
      )}
      <ResourceEditor<CoffeeFields>
        title={coffee?.row ? coffee.row.name : 'A new coffee'}
        initial={coffee ? (coffee.row ?? { roast: 'medium' }) : null}
        onClose={() => setCoffee(null)}
        onSave={saveCoffee}
        extra={
          coffee?.row && (
            <Button onClick={() => void retire(coffee.row!)}>
              {coffee.row.retiredAt ? 'Serve it again' : 'No longer served'}
            </Button>
          )
        }
      >
        {() => (
          <>
            <Form.Item name="name" label="Name" rules={[{ required: true, message: 'What is the coffee called?' }]}>
              <Input maxLength={80} />
            </Form.Item>
            <Form.Item name="roast" label="Roast">
              <Select options={ROASTS.map((value) => ({ value, label: value }))} />
            </Form.Item>
            <Form.Item name="roaster" label="Roaster">
              <Input maxLength={80} />
            </Form.Item>
            <Form.Item name="origin" label="Origin">
              <Input maxLength={120} />
            </Form.Item>
            <div className={listStyles.two}>
              <Form.Item name="process" label="Process">
                <Input maxLength={60} />
              </Form.Item>
              <Form.Item name="altitudeM" label="Altitude, m">
                <InputNumber className={listStyles.full} controls={false} precision={0} />
              </Form.Item>
            </div>
            <Form.Item name="notes" label="Roaster’s notes">
              <Input.TextArea rows={2} maxLength={2000} />
            </Form.Item>
          </>
        )}
      </ResourceEditor>
      <ResourceEditor<BagFields>
        title={`A new bag of ${bag?.coffee.name ?? ''}`}
        initial={bag ? { openedOn: dayjs(), weightGrams: 1000 } : null}
        onClose={() => setBag(null)}
        onSave={saveBag}
      >
        {() => (
          <>
            <Form.Item name="roastedOn" label="Roasted on">
              <DatePicker className={listStyles.full} disabledDate={(date: Dayjs) => date.isAfter(dayjs(), 'day')} />
            </Form.Item>
            <Form.Item name="openedOn" label="Opened on">
              <DatePicker className={listStyles.full} disabledDate={(date: Dayjs) => date.isAfter(dayjs(), 'day')} />
            </Form.Item>
            <Form.Item
              name="weightGrams"
              label="Weight when full, g"
              rules={[{ required: true, message: 'How many grams?' }]}
            >
              <InputNumber className={listStyles.full} controls={false} />
            </Form.Item>
            <Form.Item name="price" label={`Price, ${currency}`}>
              <InputNumber className={listStyles.full} controls={false} min={0} />
            </Form.Item>
          </>
        )}
      </ResourceEditor>
    </div>
  );
}

/** The newest bag in full, how many came before. */
function Bags({ bags, currency }: { bags: BagView[]; currency: string }) {
  const newest = bags[0];
  if (!newest) return <p className="quiet">no bag yet</p>;
  const age = newest.roastedOn ? dayjs().diff(dayjs(newest.roastedOn), 'day') : null;
  return (
    <div>
      <p>
        {age === null ? 'roast day unknown' : <span className={`numeral ${styles.age}`}>{plural(age, 'day')}</span>}
        {age !== null && ' off roast'}
      </p>
      <p className="quiet small">
        {newest.openedOn && `opened ${day(newest.openedOn)}`}
        {newest.priceCents != null && ` · ${money(newest.priceCents, currency)} for ${newest.weightGrams} g`}
        {bags.length > 1 && ` · ${plural(bags.length - 1, 'bag')} before`}
      </p>
    </div>
  );
}
