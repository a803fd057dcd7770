import { PathBuilder } from '../../marks'
import type { PuzzleBox } from '../puzzle'
import { circlePlan } from './drawCircle'
import { gridPlan } from './drawGrid'
import { MIDDLE } from './ground'
import type { Maze } from './maze'

/** A wall by the side of a cell, and the least and most that print well; points. */
const WALL = { share: 0.14, least: 0.6, most: 3 }
/** The way through of an answer, by the side of a cell; the walls step back behind it. */
const WAY = 0.36
const ANSWERED = 0.4
/** The dot at which a way ends that leads to the middle: its radius by the side of a cell. */
const DOT = 0.26

/** Walls, with a gap where one goes in and out; an answer has the way through. */
export function draw({ out, puzzle, answer, width, height }: PuzzleBox<Maze>): void {
  const { ground, start, end, path } = puzzle
  const across = ground.shape === 'circle' ? [ground.cols, ground.cols] : [ground.cols, ground.rows]
  const roughly = Math.min(width / across[0]!, height / across[1]!)
  const wall = Math.min(WALL.most, Math.max(WALL.least, roughly * WALL.share))
  const unit = Math.min((width - wall) / across[0]!, (height - wall) / across[1]!)
  const plan = (ground.rings ? circlePlan : gridPlan)(puzzle, { unit, width, height })
  if (answer) {
    const way = new PathBuilder().move(...plan.gap(start.cell, start.side))
    for (const cell of path) way.line(...plan.centre(cell))
    if (end.side !== MIDDLE) way.line(...plan.gap(end.cell, end.side))
    out.add({ kind: 'path', path: way.build(), stroke: { colour: { k: 1 }, width: unit * WAY } })
  }
  if (end.side === MIDDLE) {
    const dot = new PathBuilder().circle(...plan.centre(end.cell), unit * DOT)
    out.add({ kind: 'path', path: dot.build(), fill: { k: 1 } })
  }
  const walls = new PathBuilder()
  plan.walls(walls, wall)
  out.add({ kind: 'path', path: walls.build(), fill: { k: answer ? ANSWERED : 1 } })
}
