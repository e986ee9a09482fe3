/** A file from this device, chosen by one press; the same one may be chosen again. */
interface Props {
  words: string
  accept: string
  choose: (file: File | undefined) => Promise<void>
  className?: string
}
export const ChooseFile = ({ words, accept, choose, className = '' }: Props) => (
  <label className={`press cursor-pointer focus-within:outline-3 ${className}`}>
    {words}
    <input
      type="file"
      accept={accept}
      className="sr-only"
      onChange={({ target }) => {
        void choose(target.files?.[0])
        target.value = ''
      }}
    />
  </label>
)
