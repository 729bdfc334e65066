/** Structured types: their members, and where each lies by the layout rule of an end. */
export { type LaidStructure, layOut } from './lay-out.js';
