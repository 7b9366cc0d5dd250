// Languages and countries by their codes, named by the browser's or the server's own data (CLDR, through `Intl`).

const codes = {
  /** ISO 639-1: what visitors' browsers ask for most, by common practice. */
  languages:
    'ar bg ca cs cy da de el en es et eu fi fo fr ga gd gl he hi hr hu id is it ja ko lt lv mk nb nl nn pl pt ro ru sk sl sq sr sv th tr uk vi zh',
  /** ISO 3166-1 alpha-2, those that are assigned. */
  countries:
    'AD AE AF AG AI AL AM AO AQ AR AS AT AU AW AX AZ BA BB BD BE BF BG BH BI BJ BL BM BN BO BQ BR BS BT BV BW BY BZ CA CC CD CF CG CH CI CK CL CM CN CO CR CU CV CW CX CY CZ DE DJ DK DM DO DZ EC EE EG EH ER ES ET FI FJ FK FM FO FR GA GB GD GE GF GG GH GI GL GM GN GP GQ GR GS GT GU GW GY HK HM HN HR HT HU ID IE IL IM IN IO IQ IR IS IT JE JM JO JP KE KG KH KI KM KN KP KR KW KY KZ LA LB LC LI LK LR LS LT LU LV LY MA MC MD ME MF MG MH MK ML MM MN MO MP MQ MR MS MT MU MV MW MX MY MZ NA NC NE NF NG NI NL NO NP NR NU NZ OM PA PE PF PG PH PK PL PM PN PR PS PT PW PY QA RE RO RS RU RW SA SB SC SD SE SG SH SI SJ SK SL SM SN SO SR SS ST SV SX SY SZ TC TD TF TG TH TJ TK TL TM TN TO TR TT TV TW TZ UA UG UM US UY UZ VA VC VE VG VI VN VU WF WS YE YT ZA ZM ZW',
}

function named(list: string, type: 'language' | 'region'): Record<string, string> {
  const names = new Intl.DisplayNames('en-GB', { type })
  return Object.fromEntries(
    list
      .split(' ')
      .map((code): [string, string] => [code, names.of(code) ?? code])
      .sort(([, a], [, b]) => a.localeCompare(b, 'en')),
  )
}

/** Name by code. */
export const visitorLanguages = named(codes.languages, 'language')
export const countries = named(codes.countries, 'region')
