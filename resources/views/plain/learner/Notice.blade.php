@use('App\Words\Say')
@php([$course, $item] = [$p['course'], $p['item']])
<x-plain.shell :p="$p" :back="route('lesson', [$course['key'], $item], false)">
    <div class="_two_learn">
        <x-plain.side :course="$course" :here="$item" />
        <section class="_notice_ui _notice_learn">
            <div class="_wall_ui _wall-{{ $p['glyph'] }}_ui" aria-hidden="true"><i></i></div>
            <h1 @if (! $p['titled']) class="_vh_ui" @endif><x-plain.words :sentence="$p['heading']" /></h1>
            @foreach ($p['parts'] as $part)
                @switch($part['kind'])
                    @case('words')
                        <div class="_notice-text_learn">@if ($p['html'] === null)<x-plain.words :sentence="$p['text']" />@else<x-plain.prose :html="$p['html']" />@endif</div>
                        @break
                    @case('text')
                        <div class="_notice-text_learn"><x-plain.prose :html="$part['html'] ?? ''" /></div>
                        @break
                    @case('heading')
                        <h2 class="_notice-heading_learn">{{ $part['label'] }}</h2>
                        @break
                    @case('button')
                        <p class="_noticebutton_learn"><a class="_button_plain _quiet_plain" href="{{ $part['href'] }}">{{ $part['label'] }}</a></p>
                        @break
                    @case('sign-in')
                        @if ($p['signIn'] !== null) <p class="_noticebutton_learn"><a class="_button_plain" href="{{ $p['signIn'] }}">{{ Say::text('learn.sign_in') }}</a></p> @endif
                        @if ($p['case'] === 'account')
                            <noscript>
                                <form class="_doorform_learn" method="post" action="{{ route('lesson.look', [$course['key'], $item], false) }}">
                                    @csrf
                                    <x-plain.field :p="$p" name="name" :label="Say::text('learn.account.name')" autocomplete="name" />
                                    <x-plain.field :p="$p" name="email" :label="Say::text('learn.account.email')" type="email" autocomplete="email" />
                                    <button class="_button_plain">{{ Say::text('learn.notice.have_look') }}</button>
                                </form>
                            </noscript>
                        @endif
                        @break
                    @case('offers')
                        <x-plain.offers :offers="$p['offers']" />
                        @break
                    @case('finish')
                    @case('samples')
                        <section class="_noticerows_learn"><h2 class="_notice-heading_learn">{{ Say::text("learn.notice.{$part['kind']}") }}</h2><ul>@foreach ($part['rows'] as $row)<li><a href="{{ route('lesson', [$course['key'], $row['key']], false) }}">{{ $row['title'] }}</a></li>@endforeach</ul></section>
                        @break
                    @case('courses')
                        <ul>@foreach ($p['instead'] as $other)<li><a href="{{ route('course', $other['key'], false) }}">{{ $other['title'] }}</a></li>@endforeach</ul>
                        @break
                    @case('ask')
                        <x-plain.ask :name="$p['contactName']" :email="$p['contactEmail']" />
                        @break
                    @case('open')
                        @if ($p['lookAt'] !== null) <p class="_askline_learn"><x-plain.linked say="learn.notice.open" :href="route('lesson', [$course['key'], $p['lookAt']['key']], false)" :title="$p['lookAt']['title']" /></p> @endif
                        @break
                @endswitch
            @endforeach
        </section>
    </div>
</x-plain.shell>
