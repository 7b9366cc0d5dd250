/** What a stranger may write where a name is asked for, and what of it a reply repeats. */
export const asRelayed: [written: string, repeated: string][] = [
  ['Isla Fearn', 'Isla Fearn'],
  ['Łucja O’Neill-Ó Briain', 'Łucja O’Neill-Ó Briain'],
  ['岡田 雅子', '岡田 雅子'],
  ['Dr. E. Fearn', 'Dr. E. Fearn'],
  ['https://evil.example/win', ''],
  ['You won! See evil.example', ''],
  ['WWW.EVIL.EXAMPLE', ''],
  ['write to me@evil.example', ''],
  ['evil。example', ''],
  ['a'.repeat(80), 'a'.repeat(60)],
  ['Isla\u2028Buy\u202enow', 'Isla Buy now'],
  ['<a href=x>Isla</a>', ''],
]
