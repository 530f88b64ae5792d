import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { BasedRange, MethodForSeen, SpeciesSheet } from '@tender-gill/contract'
import { listSafetyNotes, type Relative } from '@tender-gill/core'
import { createWords } from '@tender-gill/words'
import { ASK_LABEL, DIFFERENCE_WORDS, FORM_LABEL, describeMass, nameMonth, reader } from '../../reader/index.ts'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { HEADING, INK } from '../../theme.ts'
import { comparePath, fishPath, plain } from '../../parts/bookWords.ts'

export function Panel({
  title,
  children,
  label = title,
}: {
  readonly title: string
  readonly label?: string
  readonly children: ReactNode
}) {
  return (
    <Paper component="section" aria-label={label} sx={{ p: 2 }}>
      <Typography variant="h2" gutterBottom>
        {title}
      </Typography>
      {children}
    </Paper>
  )
}

const RULE = { borderTop: `1px solid ${INK.hairline}`, py: 0.4 } as const
const GOOD = 80

/** Ways of cooking by fit, as bars on one scale; below them what it cannot do and why. */
export function GoodFor({ rows }: { readonly rows: readonly MethodForSeen[] }) {
  const can = rows.filter(({ fit }) => fit !== null)
  const cannot = rows.filter(({ fit }) => fit === null)
  return (
    <Panel title="What it is good for">
      <Box component="ol" aria-label="Ways to cook it, best first" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {can.map(({ method, label, fit, sentence }) => (
          <Box
            component="li"
            key={method}
            title={sentence}
            sx={{ ...RULE, display: 'grid', gridTemplateColumns: '32px 110px minmax(0, 1fr)', columnGap: 1, alignItems: 'center' }}
          >
            <b style={{ fontFamily: HEADING, textAlign: 'right' }}>{fit?.toFixed(0)}</b>
            <svg width={110} height={8} aria-hidden>
              <rect x={0} y={3} width={110} height={2} fill={INK.hairline} />
              <rect
                x={0}
                y={0}
                width={((fit ?? 0) / 100) * 110}
                height={8}
                fill={(fit ?? 0) >= GOOD ? INK.kelp : INK.ice}
                stroke={INK.kelp}
              />
            </svg>
            <Typography variant="body2" noWrap>
              <Link to={`/dishes/new?method=${method}`} style={{ color: INK.squid }}>
                {label}
              </Link>
              {(fit ?? 0) < GOOD && <Typography component="span" variant="body2" color="text.secondary">{` ${sentence}`}</Typography>}
            </Typography>
          </Box>
        ))}
      </Box>
      {cannot.length > 0 && (
        <Typography variant="body2" sx={{ mt: 1 }}>
          <b>Not for:</b>{' '}
          {cannot.map(({ label, sentence }) => `${label.toLowerCase()} (${sentence.replace(/\.$/, '').toLowerCase()})`).join('; ')}.
        </Typography>
      )}
    </Panel>
  )
}

const describeDifference = ({ key, shoulders }: Relative['differences'][number]): string => DIFFERENCE_WORDS[key][shoulders > 0 ? 1 : 0]

/** The nearest in the kitchen, with what sets each apart. */
export function Relatives({ species, relatives }: { readonly species: string; readonly relatives: readonly Relative[] }) {
  return (
    <Panel title="Nearest in the kitchen">
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {relatives.map(({ offer, differences }) => (
          <Box component="li" key={offer.id} sx={{ ...RULE, display: 'flex', gap: 1.5, alignItems: 'center' }}>
            <FleshPrint offer={offer} name={offer.common} />
            <div>
              <Link to={fishPath(offer.species)} style={{ color: INK.squid, fontWeight: 700 }}>
                {offer.common}
              </Link>
              <Typography variant="body2" color="text.secondary">
                {differences.length > 0 ? differences.map(describeDifference).join(', ') : 'hardly to be told apart'}
              </Typography>
            </div>
          </Box>
        ))}
      </Box>
      <Button component={Link} to={comparePath([species, ...relatives.slice(0, 3).map(({ offer }) => offer.species)])} sx={{ mt: 1 }}>
        Set the nearest side by side
      </Button>
    </Panel>
  )
}

const { say } = createWords(reader)

export function Safety({ sheet }: { readonly sheet: SpeciesSheet }) {
  return (
    <Panel title="What to beware of">
      {listSafetyNotes(sheet.offers).map(({ kind, sentence }, i) => (
        <Typography
          key={`${kind} ${i}`}
          variant="body2"
          sx={{
            borderLeft: `4px solid ${kind === 'allergy' || sentence.code === 'note.mercury.low' ? INK.hairline : INK.brass}`,
            pl: 1,
            mb: 0.75,
          }}
        >
          {say(sentence)}
        </Typography>
      ))}
    </Panel>
  )
}

/** Runs of months as people say them: "November to January". */
export function describeMonths(months: readonly number[]): string {
  if (months.length === 12) return 'all year'
  const set = new Set(months)
  const starts = months.filter((month) => !set.has(((month + 10) % 12) + 1))
  return starts
    .map((start) => {
      let end = start
      while (set.has((end % 12) + 1)) end = (end % 12) + 1
      return start === end ? nameMonth(start) : `${nameMonth(start)} to ${nameMonth(end)}`
    })
    .join(' and ')
}

const Fact = ({ name, children }: { readonly name: string; readonly children: ReactNode }) => (
  <Box component="tr" sx={{ '& td, & th': { ...RULE, textAlign: 'left', verticalAlign: 'top' } }}>
    <Box component="th" scope="row" sx={{ pr: 2, whiteSpace: { sm: 'nowrap' }, width: { xs: '38%', sm: 'auto' }, fontWeight: 700 }}>
      {name}
    </Box>
    <td>{children}</td>
  </Box>
)
const Facts = ({ children }: { readonly children: ReactNode }) => (
  <Box component="table" sx={{ borderCollapse: 'collapse', width: '100%', fontSize: 14 }}>
    <tbody>{children}</tbody>
  </Box>
)

const SCALES_WORDS = { none: 'none', fine: 'fine', large: 'large', scutes: 'hard scutes: cut them off', shell: 'a shell' } as const
const PIN_WORDS = { drawn: 'can be drawn', forked: 'fork between the muscles and cannot be drawn', none: 'none' } as const

/** Sizes, forms with what they keep of the fish, bones, skin, season of spawning. */
export function Sizes({ sheet }: { readonly sheet: SpeciesSheet }) {
  const [first] = sheet.offers
  if (!first) return null
  return (
    <Panel title="Size, forms and yields">
      <Facts>
        <Fact name="Sizes to ask for">
          {sheet.grades.map(({ name, fromG, toG }) => `${name} ${describeMass(fromG)} to ${describeMass(toG)}`).join('; ')}
        </Fact>
        <Fact name="Length">
          {Math.round(sheet.lengthCm.typical)} cm usual, {Math.round(sheet.lengthCm.low)} to {Math.round(sheet.lengthCm.high)} cm;{' '}
          {sheet.body} in the body
        </Fact>
        <Fact name="Forms, and what of the fish they keep">
          {first.forms.map(({ form, yieldOfWhole }) => `${FORM_LABEL[form]} ${Math.round(yieldOfWhole.typical * 100)} %`).join('; ')}
        </Fact>
        <Fact name="Scales">{SCALES_WORDS[sheet.scales]}</Fact>
        <Fact name="Pin bones">{PIN_WORDS[sheet.pinBones]}</Fact>
        <Fact name="Spawns">
          {sheet.spawning ? `${describeMonths(sheet.spawning.months)}, ${sheet.spawning.where}; thin just after` : 'not generally known'}
        </Fact>
        <Fact name="Keeps as">
          {plain(sheet.storage)} fish{sheet.offFlavours.length > 0 ? `; may taste ${sheet.offFlavours.join(' or ')}` : ''}
        </Fact>
        <Fact name="Comes from">
          {sheet.regions.map(plain).join(', ')}; {plain(sheet.market)} on the market
        </Fact>
      </Facts>
    </Panel>
  )
}

const grams = ({ low, typical, high, basis, source }: BasedRange) => (
  <span title={source}>
    {typical.toFixed(1)}
    <Typography component="span" variant="body2" color="text.secondary" sx={{ display: 'block' }}>
      {low.toFixed(1)} to {high.toFixed(1)}, {basis === 'house' ? 'the house’s' : basis}
    </Typography>
  </span>
)

/** What 100 g hold, wild and farmed and parts apart. */
export function CompositionPanel({ sheet }: { readonly sheet: SpeciesSheet }) {
  const rows = [
    ['Water', 'waterG'],
    ['Protein', 'proteinG'],
    ['Fat', 'fatG'],
    ['Ash', 'ashG'],
  ] as const
  return (
    <Panel title="In 100 g of raw flesh" label="Composition">
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="In 100 g of raw flesh, as a table">
        <Box
          component="table"
          sx={{ borderCollapse: 'collapse', width: '100%', fontSize: 14, '& th, & td': { ...RULE, textAlign: 'left', pr: 1.5 } }}
        >
          <thead>
            <tr>
              <th scope="col">g</th>
              {sheet.composition.map(({ origin, part }) => (
                <th scope="col" key={origin + part}>
                  {origin}
                  {part === 'body' ? '' : `, ${part}`}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, key]) => (
              <tr key={key}>
                <th scope="row">{name}</th>
                {sheet.composition.map((one) => (
                  <td key={one.origin + one.part}>{grams(one[key])}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
      {sheet.measured[0] && (
        <Typography variant="body2" sx={{ mt: 1 }}>
          Measured:{' '}
          {sheet.measured
            .map(({ trait, per100G, spread }) => `${trait.replace('G', '')} ${per100G} g${spread === null ? '' : ` ± ${spread}`}`)
            .join(', ')}
          . {sheet.measured[0].source}. {sheet.measuredDiffers ?? ''}
        </Typography>
      )}
    </Panel>
  )
}

/** Wild against farmed, where both are sold: only what differs. */
export function WildFarmed({ sheet }: { readonly sheet: SpeciesSheet }) {
  const pick = (origin: 'wild' | 'farmed') => sheet.offers.find((offer) => offer.origin === origin && offer.part === 'body')
  const wild = pick('wild')
  const farmed = pick('farmed')
  if (!wild || !farmed) return null
  const keys = (['fat', 'firmness', 'flavour', 'tolerance', 'cohesion', 'rawBite'] as const).filter(
    (key) => wild.traits[key].typical !== farmed.traits[key].typical,
  )
  return (
    <Panel title="Wild against farmed">
      {keys.length === 0 ? (
        <Typography>Much the same on the plate.</Typography>
      ) : (
        <Facts>
          {keys.map((key) => (
            <Fact key={key} name={ASK_LABEL[key]}>
              wild {wild.traits[key].typical}, farmed {farmed.traits[key].typical}
              {key === 'fat' ? ' g in 100 g' : ' of 10'}
            </Fact>
          ))}
          <Fact name="Usual weight">
            wild {describeMass(wild.weightG.typical)}, farmed {describeMass(farmed.weightG.typical)}
          </Fact>
        </Facts>
      )}
    </Panel>
  )
}
