@use('App\Words\Say')
<x-plain.shell :p="$p">
    <div class="_doorform_learn">
        <h1>{{ $p['name'] }}</h1>
        @if ($p['refusal'] !== null)
            <p role="status">{{ $p['refusal'] }}</p>
            @if ($p['closing'] !== null) <x-plain.prose :html="$p['closing']" /> @endif
        @else
            <p>{{ Say::text($p['includes'] === [] ? 'learn.shop.what' : 'learn.shop.what_bundle', ['course' => $p['courseTitle'], 'lasts' => $p['lasts'], 'price' => $p['free'] ? Say::text('learn.shop.free') : $p['price']]) }}</p>
            @if ($p['includes'] !== []) <ul class="_includes_learn">@foreach ($p['includes'] as $line)<li>{{ $line }}</li>@endforeach</ul> @endif
            @if ($p['instead'] !== null) <p>{{ $p['instead'] }}</p> @endif
            @if (! $p['free']) <p class="_simulated_learn">{{ Say::text('learn.shop.simulated') }}</p> @endif
            <noscript>
                <form class="_doorform_learn" method="post" action="{{ $p['buy'] }}">
                    @csrf
                    <input type="hidden" name="item" value="{{ $p['item'] }}">
                    <input type="hidden" name="shown" value="{{ $p['shown'] }}">
                    <input type="hidden" name="once" value="{{ Illuminate\Support\Str::uuid() }}">
                    @if ($p['holder'] === null)
                        <x-plain.field :p="$p" name="name" :label="Say::text('learn.account.name')" autocomplete="name" />
                        <x-plain.field :p="$p" name="email" :label="Say::text('learn.account.email')" type="email" autocomplete="email" />
                    @else
                        <p>{{ Say::text('learn.shop.for', ['name' => $p['holder']]) }}</p>
                    @endif
                    <button class="_button_plain">{{ $p['free'] ? Say::text('learn.shop.claim') : Say::text('learn.shop.buy_for', ['price' => $p['price']]) }}</button>
                </form>
            </noscript>
        @endif
        @if ($p['holder'] === null) <p><a href="{{ $p['signIn'] }}">{{ Say::text('learn.sign_in') }}</a></p> @endif
        <p><a href="{{ $p['item'] === null ? route('course', $p['course'], false) : route('lesson', [$p['course'], $p['item']], false) }}">{{ Say::text('learn.shop.back', ['item' => $p['itemTitle'] ?? $p['courseTitle']]) }}</a></p>
    </div>
</x-plain.shell>
