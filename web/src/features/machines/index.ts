export { loadMachineList, MachineList } from './machine-list.tsx';
export { loadMachine, Machine } from './machine.tsx';
