@use('App\Words\Say')
<x-plain.shell :p="$p">
    <div class="_doorform_learn">
        <h1>{{ Say::text('learn.guest.title') }}</h1>
        <p>{{ Say::text('learn.guest.why', ['course' => $p['course'], 'school' => $p['school']['name']]) }}</p>
        <noscript>
            <form class="_doorform_learn" method="post" action="{{ route('guest.enter', ['token' => $p['token']], false) }}">
                @csrf
                <x-plain.field :p="$p" name="phrase" :label="Say::text('learn.guest.phrase')" />
                <button class="_button_plain">{{ Say::text('learn.guest.enter') }}</button>
            </form>
        </noscript>
    </div>
</x-plain.shell>
