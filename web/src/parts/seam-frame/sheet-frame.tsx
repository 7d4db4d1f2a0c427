/**
 * The frame of every view that edits a seam's sheet: head with undo and save, the steps, what stands in the way of saving, two versions
 * side by side where somebody overtook it, and the machine's dial card.
 */
import { type BoxProps } from '@chakra-ui/react';
import { memo, useDeferredValue, useMemo, type KeyboardEvent, type ReactNode } from 'react';
import type { SheetSession } from '../../sheet/session.ts';
import { useSheetKeys } from '../../sheet/sheet-keys.ts';
import { AssumedLine } from './assumed-line.tsx';
import { BesideCard } from './beside-card.tsx';
import { SaveActs } from './save-acts.tsx';
import { SaveTroubles } from './save-troubles.tsx';
import { SeamHead } from './seam-head.tsx';
import { Main } from '../../ui/main.tsx';

const Head = memo(SeamHead);

export interface SheetFrameProps extends BoxProps {
  readonly session: SheetSession;
  readonly title: string;
  readonly line: string;
  /** What the view says of a wish that cannot be had; left out: the view says it itself. */
  readonly refusals?: 'here' | 'own';
  /** Where no figures are set, no card stands beside. */
  readonly hasCard?: boolean;
  readonly children: ReactNode;
}

export function SheetFrame({
  session,
  title,
  line,
  refusals = 'here',
  hasCard = true,
  children,
  ...main
}: SheetFrameProps) {
  const { seam, machines, machine, edited, settle } = session;
  useSheetKeys(session);
  // The card follows a moment later, so that what was moved is drawn first.
  // Where the view says itself why there is none, the card must not show what was before.
  const isRefused = refusals === 'own' && session.issues.length > 0;
  const program = useDeferredValue(isRefused ? null : session.program);
  const isSaved = useDeferredValue(seam.revision !== null && !edited);
  const print = useMemo(() => ({ seamId: seam.id, isSaved }), [seam.id, isSaved]);
  const acts = useMemo(() => <SaveActs session={session} />, [session]);
  const letGo = {
    onPointerUp: settle,
    onBlur: settle,
    onKeyUp: (event: KeyboardEvent) => {
      // A figure being typed is one step, however many keys it takes.
      if (!(event.target instanceof HTMLInputElement && event.target.type === 'text')) settle();
    },
  };
  const content = (
    <>
      <SaveTroubles session={session} refusals={refusals} />
      <AssumedLine session={session} />
      {children}
    </>
  );
  return (
    <>
      <Head seam={seam} title={title} line={line} onStored={session.onStored}>
        {acts}
      </Head>
      {hasCard ? (
        <BesideCard
          machines={machines}
          program={program}
          print={print}
          windows={session.seam.windows}
          machine={machine}
          {...letGo}
          {...main}
        >
          {content}
        </BesideCard>
      ) : (
        <Main {...letGo} {...main}>
          {content}
        </Main>
      )}
    </>
  );
}
