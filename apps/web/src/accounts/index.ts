/** What other folders may use of this one. */
export { FirstAdministratorPage } from './first-administrator-page';
export { PasswordPage } from './password-page';
export { SignInPage } from './sign-in-page';
export { useSignOut } from './sign-out';
