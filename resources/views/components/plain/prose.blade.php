@props(['html'])
{{-- Sanitised where it was made. --}}
@if ($html !== '')
    <div class="_prose_learn">{!! $html !!}</div>
@endif
