@use('App\Words\Say')
@php([$course, $step] = [$p['course'], $p['last'] ?? $p['next']])
<div class="_two_learn _around_learn">
    <aside class="_side_learn">
        <h1>{{ $course['title'] }}</h1>
        @if ($course['pass'] !== null) <p class="_passline_learn">{{ $course['pass'] }}@if ($course['left'] !== null)<b>{{ $course['left'] }}</b>@endif</p> @endif
        <p class="_prog_learn">{{ Say::text('learn.finished', ['finished' => $course['finished'], 'lessons' => $course['lessons']]) }}</p>
        @if ($step !== null)
            <div class="_doorway_learn"><div><span class="_lab_learn">{{ Say::text($p['last'] !== null ? 'learn.course.were' : 'learn.course.next') }}</span><strong>{{ $step['title'] }}</strong><a class="_button_plain" href="{{ route('lesson', [$course['key'], $step['key']], false) }}">{{ Say::text($p['last'] !== null ? 'learn.course.go_on' : 'learn.course.start') }}</a></div></div>
        @endif
        <ul class="_boards_learn">@foreach ($course['path'] as $row)@if ($row['kind'] === 'board' && $row['open'])<li><a href="{{ route('lesson', [$course['key'], $row['key']], false) }}">{{ $row['title'] }}</a></li>@endif
@endforeach</ul>
    </aside>
    <div>
        @if ($p['closing'] !== null) @include('plain.learner.closing') @endif
        <ol class="_path_learn">
            @foreach ($course['path'] as $row)
                @continue($row['kind'] === 'board')
                <li id="{{ $row['key'] }}" class="_{{ $row['kind'] }}_learn" style="margin-left: {{ max(0, $row['depth'] - 1) * 30 }}px">
                    @if ($row['kind'] === 'module')
                        <h2>{{ $row['title'] }}<span><x-plain.words :sentence="$row['status']" /></span></h2>
                        @php($intro = array_column($p['modules'], null, 'key')[$row['key']] ?? null)
                        @if (($intro['cover'] ?? null) !== null) <x-plain.cover :cover="$intro['cover']" class="_modulecover_learn" sizes="(max-width: 860px) 100vw, 720px" /> @endif
                        @if (($intro['html'] ?? '') !== '') <div class="_moduletext_learn"><x-plain.prose :html="$intro['html']" /></div> @endif
                    @else
                        <div class="_les_learn {{ $row['open'] ? '' : '_shut_learn' }}"><x-plain.arch :glyph="$row['glyph']" :look="$row['look']" /><a class="_name_learn" href="{{ route('lesson', [$course['key'], $row['key']], false) }}">{{ $row['title'] }}</a><span class="_st_learn"><x-plain.words :sentence="$row['status']" /></span></div>
                    @endif
                </li>
            @endforeach
        </ol>
    </div>
    <div class="_further_learn">
        <x-plain.offers :offers="$p['offers']" />
        <x-plain.ask :name="$p['face']['contactName']" :email="$p['face']['contactEmail']" />
    </div>
</div>
