import type { Page } from '@playwright/test';

export declare const chromiumLaunch: { executablePath: string; args: string[] };
export declare function openStation(page: Page, name: string): Promise<void>;
