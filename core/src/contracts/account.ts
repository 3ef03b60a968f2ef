import 'reflect-metadata';
import { IsIn, IsOptional, IsUUID, Matches } from 'class-validator';
import { type Role, ROLES } from '../accounts/index.ts';
import { IsWritten } from './decorators.ts';
import { rule } from './rule.ts';

/** Limits of accounts. A password's length is what makes it hard to guess; nothing else is asked of it. */
export const ACCOUNT_LIMITS = { name: 80, studio: 80, password: { min: 12, max: 200 }, code: 40, differentCharacters: 5 } as const;

const { password: LENGTH } = ACCOUNT_LIMITS;

const IsStudioName = () => IsWritten('The studio’s name', { min: 1, max: ACCOUNT_LIMITS.studio });
const IsPersonName = () => IsWritten('Your name', { min: 1, max: ACCOUNT_LIMITS.name });
const AreInitials = () => Matches(/^\p{L}{2,4}$/u, { message: 'Initials must be 2 to 4 letters.' });
const IsSignInName = () =>
  Matches(/^[a-z0-9][a-z0-9._@+-]{2,59}$/, {
    message: 'The sign-in name must be 3 to 60 small letters, digits or any of . _ @ + - and begin with a letter or digit.',
  });
const IsCode = () => Matches(/^[a-zA-Z0-9-]{8,40}$/, { message: 'The code must be 8 to 40 letters, digits and dashes.' });

/** A password that is being chosen. */
const IsNewPassword = () => rule('isNewPassword', (value, { signInName }) => newPasswordProblem(value, signInName));

/** A password that is being typed: whatever it once was. */
const IsPassword = () =>
  rule('isPassword', (value) =>
    typeof value === 'string' && value.length >= 1 && value.length <= LENGTH.max ? undefined : 'The password is missing.',
  );

function newPasswordProblem(value: unknown, signInName: unknown): string | undefined {
  if (typeof value !== 'string' || [...value].length < LENGTH.min || value.length > LENGTH.max)
    return `The password must have ${LENGTH.min} to ${LENGTH.max} characters.`;
  if (new Set(value.toLowerCase()).size < ACCOUNT_LIMITS.differentCharacters)
    return `The password must have at least ${ACCOUNT_LIMITS.differentCharacters} different characters.`;
  if (typeof signInName === 'string' && signInName !== '' && value.toLowerCase().includes(signInName))
    return 'The password must not contain the sign-in name.';
  return undefined;
}

/** Who somebody is in the studio: the name on records, the initials under signatures. */
export class PersonDto {
  @IsPersonName() name!: string;
  @AreInitials() initials!: string;
}

/** The first start of an empty data folder: makes the studio and its owner. The code stands on the console. */
export class FirstRunDto extends PersonDto {
  @IsCode() code!: string;
  @IsStudioName() studio!: string;
  @IsSignInName() signInName!: string;
  @IsNewPassword() password!: string;
}

export class SignInDto {
  @IsWritten('The sign-in name', { min: 1, max: ACCOUNT_LIMITS.name }) signInName!: string;
  @IsPassword() password!: string;
}

/** Somebody who is signed in comes into another studio on its invitation. */
export class InvitedDto {
  @IsCode() code!: string;
}

/** Somebody comes in on an invitation with a new account. */
export class JoinDto extends PersonDto {
  @IsCode() code!: string;
  @IsSignInName() signInName!: string;
  @IsNewPassword() password!: string;
}

/** A forgotten password, replaced with the one-time code of an owner. */
export class ResetDto {
  @IsCode() code!: string;
  @IsNewPassword() password!: string;
}

/** The password that is typed once more: to sign, or before it is changed. */
export class ConfirmDto {
  @IsPassword() password!: string;
}

export class PasswordChangeDto {
  @IsPassword() old!: string;
  @IsNewPassword() password!: string;
}

export class InvitationDto {
  @IsUUID('7') id!: string;
  @IsIn(ROLES, { message: `A role must be one of ${ROLES.join(', ')}.` }) role!: Role;
}

/** A member's role; none takes them out of the studio. */
export class MembershipDto {
  @IsOptional() @IsIn(ROLES, { message: `A role must be one of ${ROLES.join(', ')}.` }) role!: Role | null;
}

export class StudioDto {
  @IsStudioName() name!: string;
}
