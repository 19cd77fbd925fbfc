@props(['name', 'email', 'words' => 'notice.ask'])
@use('App\Words\Say')
@if ($name !== null && $email !== null)
    @php([$before, $after] = explode("\u{E000}", Say::text("learn.{$words}", ['contact' => "\u{E000}"])))
    <p class="_askline_learn">{{ $before }}<a href="mailto:{{ $email }}">{{ Say::text('learn.notice.contact', ['name' => $name]) }}</a>{{ $after }}</p>
@endif
