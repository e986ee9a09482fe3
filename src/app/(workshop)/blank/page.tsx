/** An empty page of this app: what every other page is measured against by `npm run bench`. */
export default function Blank() {
  return <h1 className="sr-only">Blank</h1>
}
