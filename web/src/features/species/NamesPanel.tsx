import { OneOf } from '../../parts/OneOf.tsx'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { styled } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { SpeciesSheet } from '@tender-gill/contract'
import { useState } from 'react'
import { INK } from '../../theme.ts'
import { Panel } from './FactPanels.tsx'
import { addName, removeName } from './houseEdits.ts'
import type { HouseHand } from './useHouseHand.ts'

const LANGUAGES: Readonly<Record<string, string>> = {
  en: 'English',
  fr: 'French',
  es: 'Spanish',
  pt: 'Portuguese',
  it: 'Italian',
  de: 'German',
  el: 'Greek',
  ja: 'Japanese',
  zh: 'Chinese',
  hi: 'Hindi',
  bn: 'Bengali',
  ms: 'Malay',
}
const COUNTRIES: Readonly<Record<string, string>> = {
  GB: 'Britain',
  US: 'United States',
  CA: 'Canada',
  AU: 'Australia',
  NZ: 'New Zealand',
  ZA: 'South Africa',
  IE: 'Ireland',
  IN: 'India',
  AE: 'the Gulf',
}
/** A language key as people say it: "English, Australia". */
export function describeLanguage(key: string): string {
  const [language = '', country] = key.split('-')
  const name = LANGUAGES[language] ?? language
  return country ? `${name}, ${COUNTRIES[country] ?? country}` : name
}

const Entry = styled('input')({
  font: 'inherit',
  minHeight: 36,
  border: `1px solid ${INK.slate}`,
  borderRadius: 4,
  padding: '0 8px',
  minWidth: 0,
  flex: 1,
})

/** What it is sold as, by language and place; a house may add its own names and take those away again. */
export function NamesPanel({ sheet, hand }: { readonly sheet: SpeciesSheet; readonly hand: HouseHand }) {
  const [language, setLanguage] = useState('en')
  const [name, setName] = useState('')
  const { source, shipped } = hand
  const isOwn = (key: string, one: string) => source !== undefined && !(shipped?.names[key] ?? []).includes(one)
  const add = async () => {
    const text = name.trim()
    if (source && text !== '' && (await hand.keep(addName(source, language, text)))) setName('')
  }
  return (
    <Panel title="Names">
      <Box
        component="dl"
        sx={{ m: 0, display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr)', columnGap: 2, rowGap: 0.25, fontSize: 14 }}
      >
        <dt>Scientific</dt>
        <Box component="dd" sx={{ m: 0 }}>
          <i>{[sheet.species, ...sheet.synonyms].join(', formerly ')}</i>
        </Box>
        {Object.entries(sheet.names).map(([key, names]) => [
          <dt key={`${key} name`}>{describeLanguage(key)}</dt>,
          <Box component="dd" key={key} sx={{ m: 0 }} lang={key}>
            {names.map((one, i) => (
              <span key={one}>
                {i > 0 && ', '}
                {one}
                {isOwn(key, one) && source && (
                  <Button
                    size="small"
                    lang="en"
                    sx={{ minHeight: 24, p: '0 6px' }}
                    aria-label={`Take the house’s name ${one} away`}
                    onClick={() => void hand.keep(removeName(source, key, one))}
                  >
                    the house’s; take away
                  </Button>
                )}
              </span>
            ))}
          </Box>,
        ])}
      </Box>
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1, mt: 1 }}
        onSubmit={(event) => {
          event.preventDefault()
          void add()
        }}
      >
        <OneOf
          label="Language of the name"
          value={language}
          options={Object.entries(LANGUAGES)}
          onChange={setLanguage}
          sx={{ minWidth: 150 }}
        />
        <Entry
          aria-label="A name your market uses"
          placeholder="A name your market uses"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" variant="outlined" disabled={name.trim() === ''}>
          Add
        </Button>
      </Box>
      {hand.problems
        .filter(({ path }) => path.startsWith('/source/names'))
        .map(({ path, message }) => (
          <Typography key={path} variant="body2" color="error">
            {message}
          </Typography>
        ))}
    </Panel>
  )
}
