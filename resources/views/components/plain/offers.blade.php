@props(['offers'])
@use('App\Words\Say')
@if ($offers !== [])
    <ul class="_offercards_learn">
        @foreach ($offers as $offer)
            <li><b>{{ $offer['name'] }}</b><span>{{ $offer['detail'] }}</span><a href="{{ $offer['href'] }}">{{ Say::text(in_array($offer['as'], ['renewal', 'bundle', 'upgrade'], true) ? "learn.shop.{$offer['as']}" : ($offer['free'] ? 'learn.shop.claim' : 'learn.shop.buy'), ['price' => $offer['price']]) }}<span class="_vh_ui">: {{ $offer['name'] }}</span></a></li>
        @endforeach
    </ul>
@endif
