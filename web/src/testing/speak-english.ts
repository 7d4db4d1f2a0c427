/** Tests of the interface read English; a test of another language says so itself. */
import { english } from '@fox-tempo/words/english';
import { speak } from '../lib/words.ts';

speak(english);
