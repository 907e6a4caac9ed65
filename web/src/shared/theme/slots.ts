import { defineSlotRecipe } from '@chakra-ui/react'

/** Above all that lies on a page, banners and boards too. */
const OVER_THE_PAGE = 1400

/**
 * A sheet, and below it a menu: the two composite parts that are used. The library's own recipes stand in one bundle with those of all
 * its other parts, which would travel to each pupil's first page for nothing.
 */
export const dialog = defineSlotRecipe({
  className: 'sheet',
  slots: ['trigger', 'backdrop', 'positioner', 'content', 'header', 'body', 'footer', 'title', 'description', 'closeTrigger'],
  base: {
    backdrop: { position: 'fixed', inset: '0', zIndex: `calc(${OVER_THE_PAGE} + var(--layer-index, 0) - 1)` },
    positioner: {
      display: 'flex',
      justifyContent: 'center',
      alignItems: 'center',
      position: 'fixed',
      inset: '0',
      overflow: 'auto',
      overscrollBehaviorY: 'none',
      zIndex: `calc(${OVER_THE_PAGE} + var(--layer-index, 0))`,
    },
    content: { display: 'flex', flexDirection: 'column', position: 'relative', width: '100%', m: 'auto', outline: '0' },
    header: { display: 'flex', pr: '48px' },
    title: { fontWeight: '650' },
    body: { flex: '1' },
    closeTrigger: { position: 'absolute', top: '6px', insetEnd: '8px' },
  },
})

export const menu = defineSlotRecipe({
  className: 'menu',
  slots: ['contextTrigger', 'trigger', 'positioner', 'content', 'item', 'itemText', 'itemGroup', 'itemGroupLabel', 'separator'],
  base: {
    content: {
      outline: '0',
      maxHeight: 'var(--available-height)',
      overflowY: 'auto',
      fontSize: '14px',
      zIndex: `calc(${OVER_THE_PAGE} + var(--layer-index, 0))`,
    },
    item: {
      display: 'flex',
      alignItems: 'center',
      gap: '8px',
      width: '100%',
      textAlign: 'start',
      userSelect: 'none',
      outline: '0',
      position: 'relative',
    },
  },
})
