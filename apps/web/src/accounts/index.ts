/** What other folders may use of this one. */
export { useSignOut } from './sign-out';
