export const marker = {
  letterTargetFromhomeFromHomeBase: '{letter}, {target}, {fromHome} from home base',
} as const;
