import { ask } from '@/app/door';
import { TraceScreen } from '@/ui/trace/TraceScreen';

type Props = { searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>> };

export default async function TracePage({ searchParams }: Props) {
  const { words } = await searchParams;
  const said = typeof words === 'string' ? words : '';
  const answer = await ask('traceView', { words: said });
  return (
    <TraceScreen
      key={said}
      words={said}
      view={answer.ok ? answer.value : null}
      problem={answer.ok ? '' : answer.message}
    />
  );
}
