@use('App\Words\Say')
<x-plain.shell :p="$p" :back="route('course', $p['course']['key'], false)">
    @if ($p['inside'])
        @include('plain.learner.inside')
    @else
        @include('plain.learner.outside')
    @endif
</x-plain.shell>
