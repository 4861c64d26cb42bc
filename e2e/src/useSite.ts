import { clientDir } from './clientDir.ts'
import { openBrowser, serveSite, type Site, type SiteOptions, type Visit } from './harness/index.ts'

export interface Here {
  site: Site
  visit: Visit
}

/** A server on a free port and a browser of its own, for each file of tests or for each test. */
export function useSite(per: 'file' | 'test', options: Omit<SiteOptions, 'clientDir'> = {}): Here {
  const here = {} as Here
  const [before, after] = per === 'file' ? [beforeAll, afterAll] : [beforeEach, afterEach]
  before(async () => {
    here.site = await serveSite({ clientDir, ...options })
    here.visit = await openBrowser()
  })
  after(async () => {
    await here.visit.close()
    await here.site.close()
  })
  return here
}
