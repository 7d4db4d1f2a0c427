export { loadSignIn, SignIn } from './sign-in.tsx';
