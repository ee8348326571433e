/**
 * SHA-256 of the few inline scripts and inline styles that the page framework and the combo box write.
 * Fixed rather than taken from the reply, so that nothing else inline can ever run; a journey fails when an upgrade changes them.
 */
export const INLINE_SCRIPTS = [
  /* island element */ "'sha256-U7a72oKuFFz8D7GUHLA1NZ0ciymHmDOc9T9aVDg2rWU='",
  /* client:only */ "'sha256-eIXWvAmxkr251LJZkjniEK5LcPF3NkapbJepohwYRIc='",
];

export const INLINE_STYLES = [
  /* island display */ "'sha256-vv9IoKo7BSLbWcUHr3tNmfNVmm5L/9Cfn2H6LMk7/ow='",
  /* touch behaviour of pressable parts */ "'sha256-38RhXrc7EdReTKsOm23ZPOCUgniTUUcjky8QOOrQx6o='",
];
