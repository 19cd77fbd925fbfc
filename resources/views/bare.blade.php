{{-- For when the database is gone: nothing here asks it. --}}
<!doctype html>
<html lang="{{ str_replace('_', '-', app()->getLocale()) }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $heading }}</title>
</head>
<body>
    <main>
        <h1>{{ $heading }}</h1>
        <p>{{ $text }}</p>
    </main>
</body>
</html>
