import { stream } from './stream'

/** A drawn shore: sky, sun, three ridges of hills, water. SVG, so nothing has to be photographed. */
export function drawShore(name: string): string {
  const next = stream(name)
  const hue = Math.floor(next() * 360)
  const ridge = (base: number, height: number, lightness: number) => {
    const points = Array.from({ length: 9 }, (_, i) => `${i * 80},${Math.round(base - next() * height)}`).join(' ')
    return `<polygon points="0,360 ${points} 640,360" fill="hsl(${(hue + 20) % 360} 28% ${lightness}%)"/>`
  }
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 640 360" width="640" height="360" preserveAspectRatio="xMidYMid slice">
<rect width="640" height="360" fill="hsl(${hue} 42% 84%)"/>
<circle cx="${Math.round(80 + next() * 480)}" cy="${Math.round(60 + next() * 70)}" r="${Math.round(22 + next() * 22)}" fill="hsl(${(hue + 40) % 360} 80% 92%)"/>
${ridge(210, 90, 66)}${ridge(240, 60, 52)}${ridge(270, 40, 40)}
<rect y="262" width="640" height="98" fill="hsl(${(hue + 200) % 360} 36% 46%)"/>
<path d="M0 290q40-8 80 0t80 0 80 0 80 0 80 0 80 0 80 0 80 0" fill="none" stroke="hsl(${(hue + 200) % 360} 40% 70%)" stroke-width="3"/>
</svg>`
}
