export { LeadPinForm } from './lead-pin-form.tsx';
