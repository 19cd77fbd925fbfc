{{-- What Inertia reads, and where its page is put; what stands there until then. --}}
<script data-page="app" type="application/json">{!! $json !!}</script>
<div id="app" @if ($turns !== null) data-rests data-turns="{{ $turns }}" @if ($wakes) data-wakes @endif @endif>{!! $plain !!}</div>
