import { methodNames } from '@pebblestrand/core/methods/words'
import { createColumnHelper } from '@tanstack/vue-table'
import { h } from 'vue'
import { RouterLink } from 'vue-router'
import type { RegisterRow } from '../../api/types'
import { placeSaid } from '../../parts/place'
import TimeAgo from '../../parts/TimeAgo.vue'
import RowActions from './RowActions.vue'
import StatusCell from './StatusCell.vue'

const column = createColumnHelper<RegisterRow>()
const soft = 'text-soft no-underline hover:underline'
const oneLine = 'whitespace-nowrap'

/** Columns of the register; `id` is what the server sorts by. */
export const columns = [
  column.accessor('status', {
    id: 'status',
    header: 'Status',
    cell: ({ row }) => h(StatusCell, { row: row.original }),
  }),
  column.accessor('widget', {
    id: 'widget',
    header: 'Widget',
    cell: ({ row }) =>
      h(
        RouterLink,
        { to: `/installs/${row.original.id}`, class: 'font-bold text-ink no-underline hover:underline' },
        () => row.original.widget,
      ),
  }),
  column.accessor('site', {
    id: 'site',
    header: 'Site',
    cell: ({ row }) =>
      h(
        RouterLink,
        { to: `/sites/${row.original.siteId}?page=${row.original.pageId}`, class: soft },
        () => row.original.site,
      ),
  }),
  column.accessor('page', { id: 'page', header: 'Page', cell: ({ row }) => row.original.page }),
  column.accessor('placement', {
    id: 'placement',
    header: 'Placement',
    cell: ({ row: { original: row } }) =>
      h('span', { class: oneLine }, row.placement ? `${row.placement}, ${row.width} px` : placeSaid(row)),
  }),
  column.accessor('method', {
    header: 'Method',
    enableSorting: false,
    cell: ({ row }) => methodNames[row.original.method].short,
  }),
  column.accessor('release', {
    header: 'Release',
    enableSorting: false,
    cell: ({ row: { original: row } }) =>
      row.held ? h('span', { class: oneLine }, `${row.release}, held`) : (row.release ?? ''),
  }),
  column.accessor('checkedAt', {
    id: 'checked',
    header: 'Checked',
    cell: ({ row }) => (row.original.checkedAt ? h(TimeAgo, { at: row.original.checkedAt, class: oneLine }) : 'never'),
  }),
  column.display({
    id: 'actions',
    header: () => h('span', { class: 'sr-only' }, 'Actions'),
    cell: ({ row }) => h(RowActions, { row: row.original }),
  }),
]
