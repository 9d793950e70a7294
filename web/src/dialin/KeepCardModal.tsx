import { plainNumber, type Settings } from '@olvet/core';
import { App, Form, Input, Modal, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 } from 'uuid';
import {
  useKeepCardMutation,
  useListCardsQuery,
  type KeepCardDto,
  type SheetShotView,
  type SheetView,
} from '../app/api';
import { formErrors, problemOf } from '../app/problem';
import { useAppSelector } from '../app/store';
import { CupsAndGroup } from '../cards/CupsAndGroup';
import { ProblemAlert } from '../parts/ProblemAlert';
import styles from './KeepCardModal.module.css';
import { plannedOf } from './settings';

type Fields = Pick<KeepCardDto, 'name' | 'purpose' | 'tastesLike' | 'setBy' | 'note'> & {
  cardId: string;
  groupName: string;
  cups: number | null;
};

export interface KeepCardModalProps {
  sheet: SheetView;
  /** The shot it begins with, and where there is none yet, what would be pulled next. */
  shotId: string | null;
  next: Settings;
  open: boolean;
  onClose: () => void;
}

/** Ends the dial-in with its recipe: a new card, or the next version of one this coffee has. */
export function KeepCardModal({ sheet, shotId, next, open, onClose }: KeepCardModalProps) {
  const { run, coffee, grinder, machine, basket, shots } = sheet;
  const person = useAppSelector((state) => state.settings.person);
  const [chosenId, choose] = useState(shotId ?? shots.at(-1)?.id ?? null);
  const chosen = shots.find(({ id }) => id === chosenId);
  const settings = chosen ? plannedOf(chosen) : next;
  const [form] = Form.useForm<Fields>();
  const { message } = App.useApp();
  const navigate = useNavigate();
  const [keep, { isLoading, error }] = useKeepCardMutation();
  const { data: cards } = useListCardsQuery({ coffeeId: run.coffeeId });
  // Kept over retries, so that sending twice keeps one version.
  const [ids] = useState(() => ({ card: v7(), version: v7() }));
  const known = cards?.items.filter((card) => card.stationId === run.stationId) ?? [];
  const latest = known[0];

  const save = async ({ cardId, groupName, cups, ...fields }: Fields): Promise<void> => {
    const { timeSeconds, timer } = run.target;
    const keepCardDto: KeepCardDto = {
      ...fields,
      cardId,
      versionId: ids.version,
      shotId: chosen?.id ?? null,
      recipe: {
        ...settings,
        ...{ groupName, cups },
        grindSeconds: chosen?.grindSeconds ?? null,
        soakSeconds: chosen?.soakSeconds ?? null,
        valveGrams: chosen?.valveGrams ?? null,
        timeSeconds,
        timer,
        grinderName: grinder.name,
        machineName: machine.name,
        basketName: basket.name,
      },
    };
    const done = await keep({ runId: run.id, keepCardDto });
    if ('error' in done) return form.setFields(formErrors(problemOf(done.error)) as never);
    void message.success('Kept.');
    await navigate(`/cards/${cardId}`);
  };

  return (
    <Modal
      open={open}
      onCancel={onClose}
      title="Keep as card"
      okText="Keep the card"
      confirmLoading={isLoading}
      onOk={() => form.submit()}
      destroyOnHidden
    >
      {shots.length > 1 && (
        <label className={styles.which}>
          <span>The recipe of</span>
          <Select
            value={chosenId}
            onChange={choose}
            options={shots.map((shot, i) => ({ value: shot.id, label: shotInWords(shot, i + 1) }))}
          />
        </label>
      )}
      <p>
        {plainNumber(settings.doseGrams)} → {plainNumber(settings.yieldGrams)} g, {run.target.timeSeconds.min}–
        {run.target.timeSeconds.max} s, grind {plainNumber(settings.grind)} on {grinder.name}. This closes the dial-in.
      </p>
      <br />
      <ProblemAlert error={error} />
      {cards && (
        <Form
          form={form}
          layout="vertical"
          onFinish={(fields) => void save(fields)}
          initialValues={{
            cardId: latest?.id ?? ids.card,
            name: latest?.name ?? coffee.name,
            purpose: latest?.purpose ?? 'black',
            tastesLike: latest?.latest.tastesLike ?? run.goal ?? '',
            groupName: latest?.latest.recipe.groupName ?? '',
            cups: chosen?.cupGrams?.length === 2 ? 2 : (latest?.latest.recipe.cups ?? null),
            setBy: person,
            note: '',
          }}
        >
          <Form.Item name="cardId" label="Card" hidden={known.length === 0}>
            <Select
              options={[
                ...known.map((card) => ({ value: card.id, label: `${card.name}: version ${card.latest.version + 1}` })),
                { value: ids.card, label: 'A new card' },
              ]}
            />
          </Form.Item>
          <Form.Item name="name" label="Name" rules={[{ required: true, message: 'Give the card a name' }]}>
            <Input maxLength={80} />
          </Form.Item>
          <Form.Item name="purpose" label="Drunk as">
            <Select
              options={[
                { value: 'black', label: 'black' },
                { value: 'milk', label: 'with milk' },
              ]}
            />
          </Form.Item>
          <CupsAndGroup />
          <Form.Item name="tastesLike" label="Tastes like">
            <Input maxLength={400} />
          </Form.Item>
          <Form.Item name="setBy" label="Set by">
            <Input maxLength={80} />
          </Form.Item>
          <Form.Item name="note" label="Why it changed" hidden={!latest}>
            <Input maxLength={400} />
          </Form.Item>
        </Form>
      )}
    </Modal>
  );
}

function shotInWords(shot: SheetShotView, number: number): string {
  const { grind, doseGrams, yieldGrams } = plannedOf(shot);
  const time = shot.timeSeconds == null ? 'not timed' : `${plainNumber(shot.timeSeconds, 1)} s`;
  return `Shot ${number}: ${plainNumber(grind)}, ${plainNumber(doseGrams)} → ${plainNumber(yieldGrams)} g, ${time}`;
}
