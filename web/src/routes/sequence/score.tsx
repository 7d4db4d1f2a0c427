/** The score of a seam: the whole weld on one time axis and in millimetres, its phases in numbers, played by the trigger, said on machines. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, formatIf } from '../../lib/words.ts';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { modeName } from '@fox-tempo/core/setting/plan';
import { wireWords } from '@fox-tempo/core/setting/wire-choice';
import { useMemo } from 'react';
import { Link, useLoaderData, useParams } from 'react-router';
import { useLastSeam } from '../../sheet/last-seam.ts';
import type { SeamAndMachines } from '../../sheet/load.ts';
import { useSheetSession } from '../../sheet/session.ts';
import { Notice } from '../../ui/notice.tsx';
import { CannotFinish } from '../../parts/shortages/index.ts';
import { SheetFrame } from '../../parts/seam-frame/index.ts';
import { ScoreParts } from './score-parts.tsx';
import { useScore } from './use-score.ts';

export function ScoreView() {
  const { seam, machines } = useLoaderData<SeamAndMachines>();
  const { id = '' } = useParams();
  useLastSeam('score', id);
  return <LoadedScore key={id} loaded={seam} machines={machines} />;
}

function LoadedScore({
  loaded,
  machines,
}: {
  readonly loaded: SeamResource;
  readonly machines: readonly MachineResource[];
}) {
  const session = useSheetSession(loaded, machines);
  const { seam, sheet, program, machine } = session;
  const score = useScore(session, machine);
  const { whole, issues } = score;
  // A score that cannot be made cannot be saved either.
  const framed = useMemo(
    () =>
      issues.length === 0
        ? session
        : { ...session, issues: [...session.issues, ...issues], cannotSave: formatIf(issues[0]?.message) ?? null },
    [session, issues],
  );
  return (
    <SheetFrame
      session={framed}
      title={t('view.sequence.title', { spec: sheet.spec.name })}
      line={
        program
          ? t('view.sequence.at', {
              length: amount('length', sheet.spec.lengthMm),
              travel: amount('travel', program.travelMmPerMin, 0),
              diameter: wireWords(program.filler, program.diameterMm),
              mode: modeName(program.mode),
            })
          : t('view.simulator.no-setting')
      }
    >
      <CannotFinish seam={seam} machine={machine} />
      {whole ? (
        <ScoreParts session={session} score={score} whole={whole} />
      ) : (
        <Notice level="note">
          {t('view.sequence.no-setting')} <Link to={`/seams/${seam.id}`}>{t('view.sequence.see-sheet')}</Link>
        </Notice>
      )}
    </SheetFrame>
  );
}
