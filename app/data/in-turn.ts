/** Work that is done one at a time: asked for while it is being done, it is done once more when that has ended. */
export function inTurn(work: () => Promise<void>): () => Promise<void> {
  let wanted = 0
  let running: Promise<void> | undefined
  const run = async () => {
    while (wanted > 0) {
      wanted = 0
      await work()
    }
  }
  return () => {
    wanted++
    running ??= run().finally(() => {
      running = undefined
      wanted = 0
    })
    return running
  }
}
