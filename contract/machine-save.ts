/** Writes of machines. The file is read by `readMachineFile`, so that older versions may be sent. */
import { z } from 'zod';

export const machineCreate = z.strictObject({ file: z.unknown() });
export const machineSave = z.strictObject({ file: z.unknown(), retired: z.boolean().optional() });
