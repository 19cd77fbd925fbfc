@props(['course', 'here' => null])
@use('App\Words\Say')
<aside class="_side_learn">
    <p class="_side-title_learn"><a href="{{ route('course', $course['key'], false) }}">{{ $course['title'] }}</a></p>
    <ol class="_crumbs_learn" aria-label="{{ Say::text('learn.course.outline', ['course' => $course['title']]) }}">
        @foreach ($course['path'] as $row)
            @if ($row['kind'] === 'module')
                <li class="_m_learn">{{ $row['title'] }}</li>
            @else
                <li class="_{{ $row['kind'] }}_learn" @if ($row['key'] === $here) aria-current="page" @endif><x-plain.arch :glyph="$row['glyph']" :look="$row['look']" :size="16" />@if ($row['open'] && $row['key'] !== $here)<a href="{{ route('lesson', [$course['key'], $row['key']], false) }}">{{ $row['title'] }}</a>@else{{ $row['title'] }}@endif</li>
            @endif
        @endforeach
    </ol>
</aside>
