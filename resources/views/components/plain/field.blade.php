@props(['p', 'name', 'label', 'type' => 'text', 'autocomplete' => 'off'])
<div class="_field_plain">
    <label for="plain-{{ $name }}">{{ $label }}</label>
    <input id="plain-{{ $name }}" name="{{ $name }}" type="{{ $type }}" autocomplete="{{ $autocomplete }}" @if ($type !== 'password') value="{{ old($name) }}" @endif>
    @isset($p['errors'][$name])
        <p class="_wrong_plain">{{ $p['errors'][$name] }}</p>
    @endisset
</div>
