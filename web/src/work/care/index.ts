export { useToolName } from './toolName.ts';
