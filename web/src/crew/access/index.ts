export { PasswordField } from './PasswordField.tsx';
export { SignInForm } from './SignInForm.tsx';
