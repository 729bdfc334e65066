/**
 * In place of class-validator: the page reads from the classes of the model what they say of their fields, and guards no
 * edge at which entities enter. The server does, and the threads that read files.
 */
const nothing = () => () => undefined;

export {
  nothing as ArrayMaxSize,
  nothing as ArrayUnique,
  nothing as IsArray,
  nothing as IsBoolean,
  nothing as IsIn,
  nothing as IsInt,
  nothing as IsNumber,
  nothing as IsOptional,
  nothing as IsString,
  nothing as Matches,
  nothing as Max,
  nothing as Min,
  nothing as ValidateBy,
};
