import { IsId, IsName, IsText } from './fields.js';

/** The project's own fields; there is exactly one, with the id `project`. */
export class ProjectInfo {
  @IsId() id!: string;
  @IsName() name!: string;
  @IsText() comment?: string;
}
