/** Look of a link or tab between the parts of one view: a rule under it, in the accent where one is. */
export const partLink = {
  display: 'inline-flex',
  alignItems: 'center',
  minHeight: '44px',
  px: '2.5',
  fontWeight: 600,
  fontSize: 'small',
  color: 'quiet',
  borderBottomWidth: '3px',
  borderColor: 'line',
  cursor: 'pointer',
  _hover: { color: 'ink', bg: 'accentSoft' },
  css: {
    '&[aria-current=page], &[aria-selected=true]': {
      color: 'var(--chakra-colors-ink)',
      background: 'var(--chakra-colors-accent-soft)',
      borderBottomColor: 'var(--chakra-colors-accent)',
    },
  },
} as const;
