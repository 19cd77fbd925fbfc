@props(['offers'])
@use('App\Words\Say')
@if ($offers !== [])
    <ul class="_offercards_learn">
        @foreach ($offers as $offer)
            <li><b>{{ $offer['name'] }}</b><span>{{ $offer['detail'] }}</span><a href="{{ $offer['href'] }}">{{ Say::text($offer['free'] ? 'learn.shop.claim' : 'learn.shop.buy', ['price' => $offer['price']]) }}</a></li>
        @endforeach
    </ul>
@endif
