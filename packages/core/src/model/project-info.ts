import { IsInt, IsOptional, Max, Min } from 'class-validator';
import { IsId, IsName, IsText } from './fields.js';

/** The project's own fields; there is exactly one, with the id `project`. */
export class ProjectInfo {
  @IsId() id!: string;
  @IsName() name!: string;
  /** per cent of a network's rate from which on its load is a Doubt */
  @IsOptional() @IsInt() @Min(1) @Max(100) loadLevel?: number | null;
  @IsText() comment?: string;
}
