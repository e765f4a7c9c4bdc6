import base from './.dependency-cruiser.cjs';

/** No folder goes round through another, type imports included. Tests stand beside what they test and may reach further. */
export default {
  forbidden: [
    {
      name: 'no-cycle-between-folders',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
  ],
  options: { ...base.options, exclude: { path: '(\\.test\\.tsx?$|^node_modules)' } },
};
