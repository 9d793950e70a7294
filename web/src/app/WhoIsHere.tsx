import UserOutlined from '@ant-design/icons/UserOutlined';
import { Popover } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { ToggleChip } from '../parts/ToggleChip';
import { useListPeopleQuery } from './api';
import styles from './Layout.module.css';
import { personChosen } from './settingsSlice';
import { useAppDispatch, useAppSelector } from './store';

/** Who stands at this tablet: on the rail, changed with one tap. */
export function WhoIsHere() {
  const person = useAppSelector((state) => state.settings.person);
  const [open, setOpen] = useState(false);
  return (
    <Popover
      open={open}
      onOpenChange={setOpen}
      trigger="click"
      placement="rightBottom"
      title="Who stands here?"
      content={<People onDone={() => setOpen(false)} />}
    >
      <button type="button" className={styles.who} aria-haspopup="dialog" aria-expanded={open}>
        <span className={styles.icon} aria-hidden>
          <UserOutlined />
        </span>
        <span className={styles.whoName}>{person || 'Who?'}</span>
        <span className="visually-hidden"> stands at this tablet</span>
      </button>
    </Popover>
  );
}

function People({ onDone }: { onDone: () => void }) {
  const { data } = useListPeopleQuery({ state: 'in-use' });
  const person = useAppSelector((state) => state.settings.person);
  const dispatch = useAppDispatch();
  const people = data?.items ?? [];
  const choose = (name: string): void => {
    dispatch(personChosen(name));
    onDone();
  };
  return (
    <div className={styles.people}>
      {people.map(({ id, name }) => (
        <ToggleChip key={id} chosen={name === person} onToggle={(on) => choose(on ? name : '')}>
          {name}
        </ToggleChip>
      ))}
      <Link to="/workshop?tab=people" onClick={onDone}>
        {people.length === 0 ? 'Enter who works here' : 'All people'}
      </Link>
    </div>
  );
}
