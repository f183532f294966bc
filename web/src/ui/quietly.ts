const silent = () => undefined

/** What is dragged says by itself where it is, also where it is moved by keys: the kit's own words would say it twice. */
export const quietly = {
  announcements: { onDragStart: silent, onDragOver: silent, onDragEnd: silent, onDragCancel: silent },
  screenReaderInstructions: { draggable: '' },
}
