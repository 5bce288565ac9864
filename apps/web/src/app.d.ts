declare global {
  namespace App {
    interface Error {
      message: string;
      /** Where the fault was, for the page. */
      where?: string;
    }
    interface Locals {
      theme: 'light' | 'dark' | 'system';
      /** Who it is: a device that was let in, or this machine itself, which has no id. */
      device?: { readonly id?: string; readonly name: string };
    }
  }
}

export {};
