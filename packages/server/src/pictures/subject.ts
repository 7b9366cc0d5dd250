import { job, work } from '../platform/queue'
import type { Subject } from '../subject'
import { fetchPictures, picturesJob } from './fetch-pictures'
import { pictures as tables } from './migration'
import { definePictures } from './models'
import { tidyPictures } from './tidy'

const picturesTidy = job<Record<string, never>>('pictures-tidy')

export const pictures: Subject = {
  name: 'pictures',
  migrations: [tables],
  models: definePictures,
  work: [
    work(picturesJob, {}, fetchPictures),
    work(picturesTidy, { cron: '41 3 * * *' }, (context) => tidyPictures(context)),
  ],
}
