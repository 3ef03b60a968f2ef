import 'reflect-metadata';
import { IsBoolean, IsUUID } from 'class-validator';
import { IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';

/** Everything about a trainee is erased. The name is typed out, so that nobody is erased by a slip. */
export class ErasureDto {
  @IsUUID('7') id!: string;
  @IsWritten('The trainee’s name', { min: 1, max: LIMITS.name }) name!: string;
  @IsWritten('The reason', { min: 3, max: LIMITS.reason, needed: 'A reason of at least 3 characters is needed.' }) reason!: string;
}

/** A trainee goes out of the lists, or comes back. */
export class ArchiveDto {
  @IsUUID('7') id!: string;
  @IsBoolean({ message: 'Archived must be true or false.' }) archived!: boolean;
}
