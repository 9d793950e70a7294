import {
  buildAdviceRequest,
  type Advice,
  type AdviceRequest,
  type Expectation,
  type Review,
  type Settings,
} from '@olvet/core';
import { useEffect, useMemo, useState } from 'react';
import type { SheetView } from '../app/api';
import { fieldInWords } from '../app/problem';
import { heart, historianHeart } from '../worker/heart';

export interface AdviceState {
  request: AdviceRequest;
  /** null while the worker is thinking about the newest shots. */
  advice: Advice | null;
  /** What keeps the question from being asked: stored data the contract refuses. */
  problem: string | null;
}

/** The advice for a run sheet, computed in the worker and always that of the newest shots. */
export function useAdvice(sheet: SheetView): AdviceState {
  const request = useMemo(() => buildAdviceRequest(sheet), [sheet]);
  const [answered, setAnswered] = useState<Omit<AdviceState, 'request'> & { to: AdviceRequest | null }>({
    to: null,
    advice: null,
    problem: null,
  });
  useEffect(() => {
    let newest = true;
    void heart()
      .answer(request)
      .then((answer) => {
        if (!newest) return;
        if (answer.schema === 'olvet.advice/1') setAnswered({ to: request, advice: answer, problem: null });
        else {
          const problem = answer.errors.map(({ path, message }) => `${fieldInWords(path)} ${message}`).join('; ');
          setAnswered({ to: request, advice: null, problem });
        }
      });
    return () => {
      newest = false;
    };
  }, [request]);
  return answered.to === request
    ? { request, advice: answered.advice, problem: answered.problem }
    : { request, advice: null, problem: null };
}

/** What edited settings would bring; null while unknown. */
export function useWhatIf(request: AdviceRequest, settings: Settings | null): Expectation | null {
  const [foreseen, setForeseen] = useState<{ of: Settings; expect: Expectation | null } | null>(null);
  useEffect(() => {
    if (!settings) return;
    let newest = true;
    void heart()
      .whatIf(request, settings)
      .then((expect) => newest && setForeseen({ of: settings, expect }));
    return () => {
      newest = false;
    };
  }, [request, settings]);
  return settings && foreseen?.of === settings ? foreseen.expect : null;
}

/** The run looked back on, shot by shot; null until it has been. */
export function useReview(request: AdviceRequest): Review | null {
  const [seen, setSeen] = useState<{ of: AdviceRequest; review: Review | null } | null>(null);
  useEffect(() => {
    let newest = true;
    void historianHeart()
      .review(request)
      .then((review) => newest && setSeen({ of: request, review }));
    return () => {
      newest = false;
    };
  }, [request]);
  return seen?.of === request ? seen.review : null;
}
