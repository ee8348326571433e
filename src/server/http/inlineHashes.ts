/**
 * SHA-256 of the few inline scripts and the one inline style that the page framework writes for islands.
 * Fixed rather than taken from the reply, so that nothing else inline can ever run; a journey fails when an upgrade changes them.
 */
export const INLINE_SCRIPTS = [
  /* island element */ "'sha256-U7a72oKuFFz8D7GUHLA1NZ0ciymHmDOc9T9aVDg2rWU='",
  /* client:only */ "'sha256-eIXWvAmxkr251LJZkjniEK5LcPF3NkapbJepohwYRIc='",
];

export const INLINE_STYLES = [/* island display */ "'sha256-vv9IoKo7BSLbWcUHr3tNmfNVmm5L/9Cfn2H6LMk7/ow='"];
