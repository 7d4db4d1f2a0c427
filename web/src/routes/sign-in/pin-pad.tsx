/** Digits large enough for gloves; the keyboard types as well. Four digits and a press of OK. */
import { t } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';

const longest = 8;
const shortest = 4;

export interface PinPadProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (pin: string) => void;
  readonly onDone: () => void;
  readonly disabled: boolean;
  readonly describedBy?: string | undefined;
}

export function PinPad({ label, value, onChange, onDone, disabled, describedBy }: PinPadProps) {
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (!disabled) field.current?.focus();
  }, [label, disabled]);
  const add = (digit: string) => onChange(`${value}${digit}`.slice(0, longest));
  return (
    <Box width="252px">
      <Box asChild textStyle="label" color="quiet" display="block" mb="1">
        <label htmlFor="pin">{label}</label>
      </Box>
      <chakra.input
        ref={field}
        id="pin"
        type="password"
        inputMode="numeric"
        autoComplete="off"
        value={value}
        maxLength={longest}
        aria-describedby={describedBy}
        onChange={(event) => onChange(event.target.value.replace(/\D/g, ''))}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && value.length >= shortest) onDone();
        }}
        width="100%"
        minHeight="52px"
        textAlign="center"
        fontFamily="mono"
        fontSize="big"
        letterSpacing="0.35em"
        bg="surface"
        color="ink"
        borderWidth="1px"
        borderColor="edge"
        borderRadius="3px"
        mb="2"
      />
      <Box
        display="grid"
        gridTemplateColumns="repeat(3, 1fr)"
        gap="2"
        role="group"
        aria-label={t('view.machines.digits')}
      >
        {['1', '2', '3', '4', '5', '6', '7', '8', '9'].map((digit) => (
          <Key key={digit} name={digit} disabled={disabled} onPress={() => add(digit)}>
            {digit}
          </Key>
        ))}
        <Key
          name={t('view.sign-in.delete-digit')}
          disabled={disabled || value === ''}
          onPress={() => onChange(value.slice(0, -1))}
        >
          ‹
        </Key>
        <Key name="0" disabled={disabled} onPress={() => add('0')}>
          0
        </Key>
        <Key name={t('view.app.sign-in')} main disabled={disabled || value.length < shortest} onPress={onDone}>
          {t('view.sign-in.ok')}
        </Key>
      </Box>
    </Box>
  );
}

function Key({
  name,
  children,
  onPress,
  disabled,
  main = false,
}: {
  readonly name: string;
  readonly children: string;
  readonly onPress: () => void;
  readonly disabled: boolean;
  readonly main?: boolean;
}) {
  return (
    <chakra.button
      type="button"
      aria-label={name}
      disabled={disabled}
      onClick={onPress}
      minHeight="60px"
      fontFamily={main ? 'body' : 'mono'}
      fontSize={main ? 'lead' : 'title'}
      fontWeight={600}
      borderWidth="1px"
      borderColor={main ? 'accent' : 'edge'}
      borderRadius="3px"
      bg={main ? 'accent' : 'surface'}
      color={main ? 'onAccent' : 'ink'}
      cursor="pointer"
      _disabled={{ opacity: 0.55, cursor: 'not-allowed' }}
      _active={{ transform: 'scale(0.97)' }}
    >
      {children}
    </chakra.button>
  );
}
