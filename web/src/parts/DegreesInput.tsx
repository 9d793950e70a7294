import type { ComponentProps } from 'react';
import { NumberInput } from './NumberInput';
import { readDegrees } from './typedUnits';
import { celsiusApart, celsiusOf, shownDegrees, shownDifference, useTemperatureUnit } from './temperature';

type Props = Omit<ComponentProps<typeof NumberInput>, 'value' | 'onChange'> & {
  /** °C, whatever is shown. */
  value?: number | null;
  onChange?: (celsius: number | null) => void;
  /** A step or a difference, not a point on the scale. */
  difference?: boolean;
};

/** A temperature typed in the shop's unit and kept in °C; fits a form's field. */
export function DegreesInput({ value, onChange, difference = false, ...rest }: Props) {
  const unit = useTemperatureUnit();
  const [show, read] = difference ? [shownDifference, celsiusApart] : [shownDegrees, celsiusOf];
  return (
    <NumberInput
      {...rest}
      parser={(text) =>
        (difference ? (text ?? '').trim().replace(',', '.') : readDegrees(text ?? '', unit)) as unknown as number
      }
      value={value == null ? null : show(value, unit)}
      onChange={(shown) => onChange?.(shown == null ? null : read(shown, unit))}
    />
  );
}
