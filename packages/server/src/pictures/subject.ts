import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { fetchPictures, picturesJob } from './fetch-pictures'
import { pictures as tables, uploads } from './migration'
import { definePictures } from './models'
import { tidyPictures } from './tidy'
import { uploadRoutes } from './uploads'

const picturesTidy = job<Record<string, never>>('pictures-tidy')

export const pictures: Subject = {
  name: 'pictures',
  migrations: [tables, uploads],
  models: definePictures,
  routes: uploadRoutes,
  work: [
    work(picturesJob, { seconds: 120, atOnce: 2 }, fetchPictures),
    work(picturesTidy, { seconds: 300, cron: '41 3 * * *' }, (context) => tidyPictures(context)),
  ],
}
