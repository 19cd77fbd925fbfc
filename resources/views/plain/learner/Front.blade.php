@use('App\Words\Say')
@php($subject = $p['part'] !== null ? $p['part']['subject'] : (in_array(request()->query('subject'), $p['subjects'], true) ? request()->query('subject') : ''))
<x-plain.shell :p="$p">
    <section class="_hello_front">
        <div>
            <h1>{{ $p['heading'] }}</h1>
            @if ($p['text'] !== '') <p>{{ $p['text'] }}</p> @endif
        </div>
        @if ($p['picture'] !== null) <x-plain.cover :cover="$p['picture']" class="_hellopicture_front" sizes="(max-width: 860px) 100vw, 392px" first /> @else <svg class="_hellopicture_front" viewBox="0 0 340 170" preserveAspectRatio="xMidYMid slice" aria-hidden="true"><rect width="340" height="170" fill="var(--paper)"/><path d="M40 170 V84 L170 22 L300 84 V170" fill="var(--line)"/><path d="M126 170 V112 a44 44 0 0 1 88 0 V170" fill="var(--card)" stroke="var(--verdigris)" stroke-width="5"/><path d="M142 150 C 154 168, 188 168, 200 148" fill="none" stroke="var(--brass)" stroke-width="6"/><path d="M0 168 H340" stroke="var(--ink)" stroke-width="3"/></svg> @endif
    </section>
    @if (count($p['subjects']) > 1)
        <ul class="_subjects_front" aria-label="{{ Say::text('learn.front.subjects') }}">
            @foreach (['', ...$p['subjects']] as $one)
                <li><a href="{{ $one === '' ? '/' : '/?subject='.rawurlencode($one) }}" aria-current="{{ $one === $subject ? 'true' : 'false' }}">{{ $one === '' ? Say::text('learn.front.all') : $one }}</a></li>
            @endforeach
        </ul>
    @endif
    @if ($p['courses'] === [])
        <p class="_none_front"><b>{{ Say::text('learn.front.none') }}</b> {{ Say::text('learn.front.none_yet') }}</p>
    @else
        <ul class="_cards_front">
            @foreach (array_values(array_filter($p['courses'], static fn (array $course): bool => $p['part'] !== null || $subject === '' || $course['subject'] === $subject)) as $index => $course)
                <li class="_card_front">
                    <x-plain.cover :cover="$course['cover']" class="_cover_front" sizes="(max-width: 620px) 100vw, (max-width: 960px) 50vw, 340px" :first="$index < 3" />
                    <div>
                        <h2><a href="{{ route('course', $course['key'], false) }}">{{ $course['title'] }}</a></h2>
                        @if ($course['sentence'] !== '') <p>{{ $course['sentence'] }}</p> @endif
                        <span class="_takes_front">{{ $course['takes'] }}</span>
                        <div class="_foot_front"><b @if ($course['mine']) class="_mine_front" @endif>{{ $course['state'] }}</b><a href="{{ $course['href'] }}">{{ $course['act'] }}<span class="_vh_ui">: {{ $course['title'] }}</span></a></div>
                    </div>
                </li>
            @endforeach
        </ul>
    @endif
    @if ($p['part'] !== null)
        <nav class="_part_front" aria-label="{{ $p['part']['told'] }}">
            @if ($p['part']['earlier'] !== null) <a href="{{ $p['part']['earlier'] }}">{{ $p['part']['earlierWords'] }}</a> @endif
            <span>{{ $p['part']['told'] }}</span>
            @if ($p['part']['later'] !== null) <a href="{{ $p['part']['later'] }}">{{ $p['part']['laterWords'] }}</a> @endif
        </nav>
    @endif
    @if ($p['over'] !== [])
        <section class="_over_front">
            <h2>{{ Say::text('learn.front.over') }}</h2>
            <ul>@foreach ($p['over'] as $course)<li><a href="{{ route('course', $course['key'], false) }}">{{ $course['title'] }}</a></li>@endforeach</ul>
        </section>
    @endif
</x-plain.shell>
