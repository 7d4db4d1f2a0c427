/** A row of tabs: one is chosen, arrow keys go along; what it shows stands elsewhere and is named by whoever shows it. */
import { chakra, Box } from '@chakra-ui/react';
import { memo, type KeyboardEvent } from 'react';
import { partLink } from './part-link.ts';

export interface TabRowProps<T extends string> {
  readonly label: string;
  readonly tabs: readonly { readonly id: T; readonly name: string }[];
  readonly value: T;
  readonly onChange: (id: T) => void;
  /** Id of the element that shows what is chosen. */
  readonly controls?: string;
}

const steps: Partial<Record<string, number>> = { ArrowRight: 1, ArrowLeft: -1, Home: -1000, End: 1000 };

function Tabs<T extends string>({ label, tabs, value, onChange, controls }: TabRowProps<T>) {
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const step = steps[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const now = tabs.findIndex(({ id }) => id === value);
    const next = tabs[Math.min(Math.max(now + step, 0), tabs.length - 1)];
    if (!next) return;
    onChange(next.id);
    event.currentTarget.querySelector<HTMLElement>(`[data-tab="${next.id}"]`)?.focus();
  };
  return (
    <Box role="tablist" aria-label={label} display="flex" gap="1" overflowX="auto" onKeyDown={onKeyDown}>
      {tabs.map(({ id, name }) => (
        <chakra.button
          key={id}
          type="button"
          role="tab"
          data-tab={id}
          aria-selected={id === value}
          aria-controls={controls}
          tabIndex={id === value ? 0 : -1}
          whiteSpace="nowrap"
          {...partLink}
          onClick={() => onChange(id)}
        >
          {name}
        </chakra.button>
      ))}
    </Box>
  );
}

/** The same names with the same one chosen are not drawn again, whatever they show. */
export const TabRow = memo(
  Tabs,
  (before, now) =>
    before.value === now.value &&
    before.onChange === now.onChange &&
    before.tabs.map(({ id, name }) => `${id} ${name}`).join() ===
      now.tabs.map(({ id, name }) => `${id} ${name}`).join(),
) as typeof Tabs;
