declare module '@messageformat/core/compile-module.js' {
  import type MessageFormat from '@messageformat/core';
  /** The source of an ES module with one function per message. */
  export default function compileModule(
    format: MessageFormat,
    messages: Readonly<Record<string, string>>,
  ): string;
}
