/** A labelled field: label above, hint or error below, joined for screen readers. */
import { Box } from '@chakra-ui/react';
import { useId, type ReactNode } from 'react';

export interface FieldFrame {
  readonly id: string;
  readonly describedBy: string | undefined;
  readonly invalid: boolean;
}

export interface FieldProps {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  readonly children: (frame: FieldFrame) => ReactNode;
}

export function Field({ label, hint, error, children }: FieldProps) {
  const id = useId();
  const noteId = `${id}-note`;
  const hasNote = error !== undefined || (hint !== undefined && hint !== null);
  return (
    <Box minWidth={0}>
      <Box asChild textStyle="label" color="quiet" display="block" mb="0.5">
        <label htmlFor={id}>{label}</label>
      </Box>
      {children({ id, describedBy: hasNote ? noteId : undefined, invalid: error !== undefined })}
      {hasNote && (
        <Box
          id={noteId}
          textStyle="label"
          color={error === undefined ? 'quiet' : 'crimson'}
          mt="0.5"
          aria-live="polite"
        >
          {error === undefined ? hint : `✕ ${error}`}
        </Box>
      )}
    </Box>
  );
}

/** Look shared by everything that takes input. */
export const inputLook = {
  width: '100%',
  minHeight: '44px',
  px: '2.5',
  bg: 'surface',
  color: 'ink',
  borderWidth: '1px',
  borderColor: 'edge',
  borderRadius: '3px',
  fontSize: 'body',
  _invalid: { borderColor: 'crimson', borderWidth: '2px' },
} as const;
