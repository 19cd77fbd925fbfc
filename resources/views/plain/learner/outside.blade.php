@use('App\Words\Say')
@php([$course, $face, $columns] = [$p['course'], $p['face'], $p['columns']])
<div class="_whole_front {{ count($columns) > 4 ? '_many_front' : '' }}">
    <header class="_outhead_front">
        <div>
            <h1>{{ $course['title'] }}</h1>
            @if ($face['sentence'] !== '') <p class="_lede_front">{{ $face['sentence'] }}</p> @endif
            <p class="_facts_front">{{ implode(' · ', array_filter([$face['takes'], $face['season'] ?? ''])) }}</p>
            @foreach ($course['otherPasses'] as $pass) <p class="_facts_front">{{ $pass['words'] }}</p> @endforeach
        </div>
        <x-plain.cover :cover="$face['cover']" class="_outcover_front" sizes="(max-width: 900px) 100vw, 300px" first />
    </header>
    @if ($p['closing'] !== null) @include('plain.learner.closing') @endif
    @if (count($columns) > 1)
        <fieldset class="_chosen_front">
            <legend>{{ Say::text('learn.course.which') }}</legend>
            @foreach ($columns as $index => $column)
                <label><input type="radio" name="pass" id="pass-{{ $index + 1 }}" @checked($index === 0)> {{ $column['offer']['name'] }}, {{ $column['offer']['price'] }}</label>
            @endforeach
        </fieldset>
    @endif
    <table class="_plan_front">
        <caption class="_vh_ui">{{ Say::text('learn.course.outline', ['course' => $course['title']]) }}</caption>
        @if ($columns !== [])
            <thead>
                <tr>
                    <th scope="col">{{ count($columns) === 1 ? Say::text('learn.course.pass', ['offer' => $columns[0]['offer']['name']]) : Say::text('learn.course.passes') }}</th>
                    @foreach ($columns as $index => $column)
                        <th scope="col" class="_col-{{ $index + 1 }}_front">
                            <b>{{ $column['offer']['name'] }}</b>
                            <span class="_price_front"><strong>{{ $column['offer']['price'] }}</strong><i>{{ $column['lasts'] }}</i></span>
                            <a href="{{ $column['offer']['href'] }}" class="_button_plain {{ $index > 0 ? '_quiet_plain' : '' }}">{{ Say::text($column['offer']['free'] ? 'learn.shop.claim' : 'learn.course.take') }}<span class="_vh_ui">: {{ $column['offer']['name'] }}</span></a>
                        </th>
                    @endforeach
                </tr>
            </thead>
        @endif
        <tbody>
            @foreach ($course['path'] as $index => $row)
                @continue($row['kind'] === 'board')
                <tr id="{{ $row['key'] }}" @if ($row['kind'] === 'module') class="_module_front" @endif>
                    @if ($row['kind'] === 'module')
                        <th scope="rowgroup" style="padding-left: {{ $row['depth'] * 22 }}px"><div class="_what_front">{{ $row['title'] }}<small>{{ $face['holds'][$index] }}</small></div></th>
                    @else
                        <th scope="row" style="padding-left: {{ max(0, $row['depth'] - 1) * 22 }}px"><div class="_what_front"><span class="_row_front {{ $row['open'] ? '_try_front' : '' }}">@if ($row['open'])<x-plain.arch :glyph="$row['glyph']" :look="$row['look']" :size="18" />@endif<a href="{{ route('lesson', [$course['key'], $row['key']], false) }}">{{ $row['title'] }}</a>@if ($row['optional'])<span class="_opt_front">{{ Say::text('learn.optional') }}</span>@endif</span><small>{{ $face['holds'][$index] }}</small></div></th>
                    @endif
                    @foreach ($columns as $at => $column)
                        <td class="_opens_front _col-{{ $at + 1 }}_front">@if ($row['kind'] === 'module') {{ $column['opens'][$index] }} @elseif ($column['opens'][$index] === null) <span><span aria-hidden="true">·</span><span class="_vh_ui">{{ Say::text('learn.course.not_in') }}</span></span> @else <span><x-plain.arch glyph="open" :size="16" silent />{{ $column['opens'][$index] }}</span> @endif</td>
                    @endforeach
                </tr>
            @endforeach
        </tbody>
    </table>
    <x-plain.offers :offers="$p['offers']" />
    <div class="_below_front">
        <div>
            @if ($face['outcomes'] !== [])
                <section><h2>{{ Say::text('learn.course.able') }}</h2><ul class="_able_front">@foreach ($face['outcomes'] as $outcome)<li>{{ $outcome }}</li>@endforeach</ul></section>
            @endif
            @if ($face['about'] !== '')
                <section><h2>{{ Say::text('learn.course.about') }}</h2><x-plain.prose :html="$face['about']" /></section>
            @endif
        </div>
        <div>
            @if ($face['questions'] !== [])
                <section class="_asked_front">
                    <h2>{{ Say::text('learn.course.asked') }}</h2>
                    @foreach ($face['questions'] as $question)<details><summary>{{ $question['ask'] }}</summary><x-plain.prose :html="$question['html']" /></details>@endforeach
                </section>
            @endif
            @if ($p['closing'] === null) <x-plain.ask :name="$face['contactName']" :email="$face['contactEmail']" :words="$face['questions'] === [] ? 'notice.ask' : 'course.ask'" /> @endif
        </div>
    </div>
</div>
