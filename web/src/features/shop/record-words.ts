/** One line for each kind of observation. */
import type { Observation } from '@fox-tempo/contract';

export const kindNames: Record<Observation['kind'], string> = {
  'parts-done': 'Parts counted',
  stock: 'Stock',
  'slot-found': 'Found in a slot',
  standing: 'How it stands',
  'direction-test': 'Direction test',
  'lead-reading': 'Lead reading',
  'step-time': 'Step timed',
  'burn-back-stop': 'Stop for burn-back',
  'calibration-points': 'Calibration points',
  'first-arc': 'Before the first arc',
  lock: 'Lock',
  issue: 'Issued',
  note: 'Note',
  withdrawal: 'Taken back',
};

export function observationLine({ kind, body, revision }: Observation): string {
  const text = (key: string) => {
    const value = body[key];
    return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
  };
  switch (kind) {
    case 'parts-done': {
      const count = Number(body['count']);
      return count < 0 ? `${-count} taken back` : `${count} done`;
    }
    case 'stock': {
      const quantity = Number(body['quantity']);
      const moved = Number.isFinite(quantity)
        ? `: ${quantity >= 0 ? '+' : '−'}${Math.abs(quantity).toFixed(text('unit') === 'L' ? 0 : 2)} ${text('unit')}`
        : '';
      return [text('name'), `${text('why')}${moved}`].filter((one) => one !== '').join(', ');
    }
    case 'slot-found':
      return `slot ${text('slot')}`;
    case 'standing':
      return 'entered anew';
    case 'direction-test':
      return `${text('dialId')}: ${text('result')}`;
    case 'lead-reading':
      return `${text('mOhm')} mΩ${text('note') === '' ? '' : `, ${text('note')}`}`;
    case 'step-time':
      return `${text('kind')}: ${text('minutes')} min`;
    case 'burn-back-stop':
      return `${text('left').replaceAll('-', ' ')}, ${text('shape').replaceAll('-', ' ')}, at ${text('burnBackMs')} ms`;
    case 'calibration-points':
      return `${Array.isArray(body['points']) ? body['points'].length : 0} points`;
    case 'first-arc': {
      const ticks = Object.values((body['ticks'] ?? {}) as Record<string, boolean>);
      return `${ticks.filter(Boolean).length} of ${ticks.length} ticked`;
    }
    case 'lock':
      return `${body['locked'] === true ? 'locked' : 'freed'}: ${text('reason')}`;
    case 'issue':
      return `revision ${revision ?? '?'}: ${text('reason')}`;
    case 'note':
      return text('text');
    case 'withdrawal':
      return text('why');
  }
}
