import type { Page } from '@playwright/test'
import { api } from './signed-in'

// Ids of demo things by name, for going straight to a screen.

export const siteId = async (page: Page, q: string) =>
  (await api<{ rows: { id: string }[] }>(page, 'GET', `/api/sites?q=${encodeURIComponent(q)}`)).rows[0]!.id
export const widgetId = async (page: Page, q: string) =>
  (await api<{ rows: { id: string }[] }>(page, 'GET', `/api/widgets?q=${encodeURIComponent(q)}`)).rows[0]!.id
export const installId = async (page: Page, filters: string) =>
  (await api<{ rows: { id: string }[] }>(page, 'GET', `/api/installs?${filters}`)).rows[0]!.id
