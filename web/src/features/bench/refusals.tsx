/** Why the present wish cannot be had, and why a save did not go through. */
import { Link } from 'react-router';
import { Notice } from '../../ui/notice.tsx';
import type { Setting } from './use-setting.ts';

export function Refusals({ setting }: { readonly setting: Setting }) {
  const { issues, saving } = setting;
  return (
    <>
      {issues.map((issue) => (
        <Notice key={`${issue.path}${issue.code}`} level="refusal" word="Not to be had." urgent>
          {issue.message} {issue.hint ?? ''} The last setting that works is shown; undo, or move back.
        </Notice>
      ))}
      {saving.kind === 'failed' && (
        <Notice level="refusal" word="Not saved." urgent>
          {saving.title}. {saving.detail} The draft is kept on this device.
        </Notice>
      )}
      {saving.kind === 'conflict' && (
        <Notice level="caution" word="Somebody saved in between." urgent>
          {saving.stored.changedBy} saved version {saving.stored.version}.{' '}
          <Link to={`/seams/${setting.seam.id}`}>The sheet shows both</Link>; choose there which stands.
        </Notice>
      )}
    </>
  );
}
