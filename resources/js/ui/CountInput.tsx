import { NumberInput, type NumberInputProps } from '@mantine/core';
import { useState } from 'react';

interface Props extends Omit<NumberInputProps, 'value' | 'onChange' | 'onBlur'> {
  value: number;
  onCount: (count: number) => void;
  /** What an empty box means; left out: what stood there, which comes back when the box is left. */
  empty?: number;
}

/** A number that is always one, in a box that can be empty while one types: 3 typed into it is 3, and not 30. */
export function CountInput({ value, onCount, empty, ...rest }: Props) {
  const [isEmpty, setEmpty] = useState(false);
  return (
    <NumberInput
      {...rest}
      value={isEmpty ? '' : value}
      onBlur={() => setEmpty(false)}
      onChange={(typed) => {
        setEmpty(typed === '');
        if (typed !== '') {
          onCount(Number(typed));
        } else if (empty !== undefined) {
          onCount(empty);
        }
      }}
    />
  );
}
