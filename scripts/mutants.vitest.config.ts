import whole from '../vitest.config';

/** The tests of one chapter alone. */
export default {
  ...whole,
  test: {
    ...whole.test,
    projects: undefined,
    include: [`${process.env.LYNXEYE_CHAPTER ?? 'src'}/**/*.test.ts`],
    environment: 'node',
  },
};
