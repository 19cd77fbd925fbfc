@use('App\Words\Say')
<section class="_closingpage_learn">
    <p class="_closing_learn">{{ $p['closing']['text'] }}</p>
    @if ($p['closing']['html'] !== null) <x-plain.prose :html="$p['closing']['html']" /> @endif
    @if ($p['closing']['instead'] !== [])
        <section class="_instead_learn">
            <h2>{{ Say::text('learn.closing.instead') }}</h2>
            <ul>@foreach ($p['closing']['instead'] as $course)<li><a href="{{ route('course', $course['key'], false) }}">{{ $course['title'] }}</a><span>{{ $course['told'] }}</span></li>@endforeach</ul>
        </section>
    @endif
    <x-plain.ask :name="$p['face']['contactName']" :email="$p['face']['contactEmail']" />
</section>
