/** Why a file is not read, in words for whoever sent it. */
export class NotRead extends Error {}
