export { loadMachineList, MachineList } from './machine-list.tsx';
export { DialReading } from './found-form.tsx';
export { loadMachine, Machine } from './machine.tsx';
