/** Renders the sound of an arc off the page's thread: a second of it is a hundred thousand samples. */
import { success } from '@fox-tempo/core/base/outcome';
import { renderSound } from '@fox-tempo/core/weld/sound';
import type { SoundWork } from './protocol.ts';
import { serveQuestions } from './serve.ts';

serveQuestions<SoundWork>(({ trace, rateHz }) => Promise.resolve(success(renderSound(trace, rateHz))));
