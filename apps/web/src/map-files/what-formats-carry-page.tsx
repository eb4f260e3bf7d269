import { FORMATS } from '@ichnograph/formats';
import { Page } from '../common/page';
import { Table } from '../ui/table';
import { FAMILIES, factsOf } from './families';

const COLUMNS = {
  topics: 'Topics',
  links: 'Links',
  titles: 'Title, author, question',
  looks: 'Places and looks',
  bearing: 'Notes, sources, addresses',
  more: 'Regions, groups, tours, pictures, bank',
} as const;
const isRead = (name: string): boolean => FORMATS.some((format) => format.name === name && format.read);

/** What each format of files carries, as the formats say themselves. */
export function WhatFormatsCarryPage() {
  return (
    <Page
      title="What each format carries"
      lead="A map is saved in any of these; those that are read, too, can be brought in. What has no room in a format is said before it is saved."
    >
      {FAMILIES.map(({ name, formats }) => (
        <section key={name} className="mb-6">
          <h2 className="mb-1 text-lg font-semibold">{name}</h2>
          <Table
            className="w-full max-md:min-w-[52rem]"
            columns={['Format', { name: 'Brought in', className: 'w-20' }, ...Object.values(COLUMNS)]}
          >
            {formats.map((format) => {
              const { label, endings, carries } = factsOf(format);
              return (
                <tr key={format} className="border-b border-rule align-top">
                  <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                    {label}
                    <span className="block font-normal text-quiet">{endings.map((one) => `.${one}`).join(' ')}</span>
                  </th>
                  <td className="py-1.5 pr-3">{isRead(format) ? 'yes' : <span className="text-quiet">no</span>}</td>
                  {(Object.keys(COLUMNS) as (keyof typeof COLUMNS)[]).map((column) => (
                    <td key={column} className="words py-1.5 pr-3 text-sm">
                      {carries[column]}
                    </td>
                  ))}
                </tr>
              );
            })}
          </Table>
        </section>
      ))}
    </Page>
  );
}
