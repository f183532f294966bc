const selectors = {
  button: 'button, [role=button]',
  link: 'a[href]',
  textbox: 'input, textarea',
  option: '[role=option]',
  menuitem: '[role=menuitem], [role=menuitemcheckbox]',
  slider: '[role=slider]',
  checkbox: '[role=checkbox]',
  summary: 'summary',
  region: 'section[aria-label]',
  combobox: '[role=combobox]:not(input)',
}
const textOf = (el) => {
  if (!el.querySelector('[aria-hidden=true]')) return el.textContent
  const copy = el.cloneNode(true)
  for (const hidden of copy.querySelectorAll('[aria-hidden=true]')) hidden.remove()
  return copy.textContent
}
const nameOf = (el) => {
  const by = (el.getAttribute('aria-labelledby') ?? '').split(' ').map((id) => document.getElementById(id)?.textContent ?? '')
  const label = el.labels?.[0]?.textContent
  return (el.getAttribute('aria-label') || by.join(' ').trim() || label || textOf(el) || el.title || '').replace(/\s+/g, ' ').replaceAll(' ,', ',').trim()
}
const visible = (el) => {
  const box = el.getBoundingClientRect()
  return box.width > 0 && box.height > 0 && getComputedStyle(el).visibility !== 'hidden'
}
const find = (role, name) => {
  const all = [...document.querySelectorAll(selectors[role])].map((e) => [e, nameOf(e)]).filter(([, n]) => n.startsWith(name))
  const seen = all.filter(([e]) => visible(e))
  const exact = seen.filter(([, n]) => n === name)
  const reached = ([e]) => {
    const box = e.getBoundingClientRect()
    const hit = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2)
    return hit !== null && (e.contains(hit) || hit.contains(e))
  }
  // of two of one name the one that can be touched: not what stands behind a dialog
  const el = (exact.find(reached) ?? exact[0] ?? seen[0])?.[0]
  if (!el) return { X: 0, Y: 0, There: false, Able: false, Value: '' }
  const middle = () => {
    const box = el.getBoundingClientRect()
    return { X: box.left + box.width / 2, Y: box.top + box.height / 2 }
  }
  const uncovered = ({ X, Y }) => {
    const hit = document.elementFromPoint(X, Y)
    return hit !== null && (el.contains(hit) || hit.contains(el))
  }
  if (!uncovered(middle())) el.scrollIntoView({ block: 'center' })
  const { X, Y } = middle()
  // fonts that are still to come move what stands below them
  const Able = document.fonts.status === 'loaded' && !el.disabled && el.getAttribute('aria-disabled') !== 'true' && uncovered({ X, Y })
  return { X, Y, There: true, Able, Value: String(el.value ?? '') }
}
const shown = () =>
  [document.body?.innerText ?? '', ...[...document.querySelectorAll('input, textarea')].filter(visible).map((i) => i.value)].join('\n')
const sees = (text) => shown().replace(/\s+/g, ' ').includes(text)
const region = (name) =>
  [...document.querySelectorAll('section, [role=region], [role=dialog]')].find((e) => nameOf(e) === name)?.innerText ?? ''
const focused = () => (document.activeElement ? nameOf(document.activeElement) : '')
const valueText = (name) => document.querySelector(`[role=slider][aria-label="${name}"]`)?.getAttribute('aria-valuetext') ?? ''
const fields = (beginning) => [...document.querySelectorAll('input')].map(nameOf).filter((n) => n.startsWith(beginning))

// When the first figure of the page is on the screen, for the measurement of how long that takes.
{
  const watch = new MutationObserver(() => {
    if (!document.querySelector('section[aria-label=Dials]')) return
    watch.disconnect()
    requestAnimationFrame(() => setTimeout(() => performance.mark('first-figure')))
  })
  watch.observe(document, { subtree: true, childList: true })
  window.shifted = 0
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) window.shifted += entry.value
  }).observe({ type: 'layout-shift', buffered: true })
}
