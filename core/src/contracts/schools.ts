import 'reflect-metadata';
import { IsIn, IsOptional, IsUUID } from 'class-validator';
import { SCHOOLS, type Schools } from '../schools/index.ts';

const choices = (question: keyof typeof SCHOOLS) => Object.keys(SCHOOLS[question].choices);

/** The schools a studio works by. Each save names the one it replaces. */
export class StudioSchoolsDto {
  @IsUUID('7') revision!: string;
  @IsOptional() @IsUUID('7') basedOn!: string | null;
  @IsIn(choices('blade')) blade!: Schools['blade'];
  @IsIn(choices('progress')) progress!: Schools['progress'];
  @IsIn(choices('rhythm')) rhythm!: Schools['rhythm'];
  @IsIn(choices('stretching')) stretching!: Schools['stretching'];
}

/** What one plan does otherwise. */
export class PlanSchoolsDto {
  @IsOptional() @IsIn(choices('blade')) blade?: Schools['blade'];
  @IsOptional() @IsIn(choices('progress')) progress?: Schools['progress'];
  @IsOptional() @IsIn(choices('rhythm')) rhythm?: Schools['rhythm'];
  @IsOptional() @IsIn(choices('stretching')) stretching?: Schools['stretching'];
}
