/** Case, accents, hyphens and a plural make no other name. */
export const fold = (text: string) =>
  text
    .normalize('NFKD')
    // Marks that letters of Europe are written with; in other scripts a mark is part of the sound.
    .replaceAll(/[\u0300-\u036f]/gu, '')
    .normalize('NFC')
    .toLowerCase()
    // The two syllabaries of Japanese write the same sounds, ninety-six places apart.
    .replaceAll(/[\u3041-\u3096]/gu, (kana) => String.fromCodePoint((kana.codePointAt(0) ?? 0) + 0x60))
    .replaceAll('ß', 'ss')
    .replaceAll('ø', 'o')
    .replaceAll('æ', 'ae')
    .replaceAll('œ', 'oe')
    .replaceAll('ı', 'i')
    .replaceAll('ł', 'l')
    .replaceAll('ð', 'd')
    .replaceAll('þ', 'th')
    .replaceAll(/[-’'`]/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim()
