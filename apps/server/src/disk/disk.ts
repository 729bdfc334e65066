import { statfs } from 'node:fs/promises';
import { HttpException, Inject, Injectable } from '@nestjs/common';
import { CONFIG, type Config } from '../base/config.js';

export const DISK_FULL =
  'The disk of the database is full: nothing more can be stored until somebody makes room. What is stored is safe.';

/** Bytes that stay free: a database that meets the very end of a disk may break down. */
const ROOM = 64 * 1024 * 1024;
/** What is stored takes some times its own size: entities, journal, indexes, the log of the database. */
const TIMES = 4;

/**
 * Whether there is room to store. Where the database's folder is on this machine its disk is asked before anything is
 * written; else it is full from a refusal of the database on, until something is stored again.
 */
@Injectable()
export class Disk {
  private refused = false;

  constructor(@Inject(CONFIG) private readonly config: Config) {}

  async isFull(bytes = 0): Promise<boolean> {
    const { databaseFolder } = this.config;
    if (databaseFolder === null) return this.refused;
    try {
      const { bavail, bsize } = await statfs(databaseFolder);
      return bavail * bsize < ROOM + bytes * TIMES;
    } catch {
      return this.refused;
    }
  }

  /** Throws the answer, 507, where there is no room for so many bytes more. A refusal of the database is tried again. */
  async refuseWithoutRoom(bytes: number): Promise<void> {
    if (this.config.databaseFolder !== null && (await this.isFull(bytes))) {
      throw new HttpException({ message: DISK_FULL }, 507);
    }
  }

  refusedIt(): void {
    this.refused = true;
  }

  stored(): void {
    this.refused = false;
  }
}
