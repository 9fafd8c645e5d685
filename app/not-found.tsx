import { Missing } from '@/ui/kit/Missing';

export default function NotFound() {
  return (
    <Missing
      title="Nothing here"
      sentence="That plan or batch is not in this kitchen; it may have been deleted, or the address is mistyped."
    />
  );
}
