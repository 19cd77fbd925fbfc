@use('App\Words\Say')
@php([$course, $item] = [$p['course'], $p['item']])
<x-plain.shell :p="$p" :back="route('lesson', [$course['key'], $item['key']], false)">
    <div class="_two_learn">
        <x-plain.side :course="$course" :here="$item['key']" />
        <article class="_lesson_learn">
            <h1>{{ $item['title'] }}</h1>
            <x-plain.prose :html="$p['html']" />
            <x-plain.media :media="$p['media']" :watched="$p['watch'] !== null" />
            @foreach ($p['parts'] as $part)
                <div class="_les_learn"><a class="_name_learn" href="{{ route('lesson', [$course['key'], $part['key']], false) }}">{{ $part['title'] }}</a></div>
            @endforeach
            @if ($p['quiz'] !== null) <x-plain.quiz :p="$p" :quiz="$p['quiz']" :address="route('lesson.quiz', [$course['key'], $item['key']], false)" /> @endif
            <footer>
                @if ($item['finished'])
                    <p class="_did_learn"><x-plain.words :sentence="$item['status']" /></p>
                @elseif ($p['finish'] === 'mark')
                    <noscript><form method="post" action="{{ route('lesson.finish', [$course['key'], $item['key']], false) }}">@csrf<button class="_button_plain">{{ Say::text('learn.lesson.mark') }}</button></form></noscript>
                @elseif ($p['finish'] === 'quiz')
                    <p class="_soft_ui _soft_learn">{{ Say::text($p['quiz'] === null ? 'learn.lesson.by_no_quiz' : 'learn.lesson.by_quiz') }}</p>
                @elseif ($p['finish'] === 'watch')
                    <noscript><p>{{ Say::text('learn.lesson.needs_scripts') }}</p></noscript>
                @endif
                <nav class="_onward_learn" aria-label="{{ Say::text('learn.lesson.onward') }}">
                    @if ($p['after'] !== null) <p><x-plain.linked :say="$p['after']['open'] ? 'learn.lesson.next_is' : 'learn.lesson.after_is'" :href="route('lesson', [$course['key'], $p['after']['key']], false)" :title="$p['after']['title']" /></p> @endif
                    @if ($p['before'] !== null) <p><x-plain.linked say="learn.lesson.before_is" :href="route('lesson', [$course['key'], $p['before']['key']], false)" :title="$p['before']['title']" /></p> @endif
                </nav>
            </footer>
        </article>
    </div>
</x-plain.shell>
