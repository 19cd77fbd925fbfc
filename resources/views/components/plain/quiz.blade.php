@props(['p', 'quiz', 'address'])
@use('App\Words\Say')
{{-- A quiz without its scripts; see resources/js/learn/Quiz.tsx. The form is not there where they run: what is typed into it would be lost. --}}
<section class="_quiz_learn" aria-label="{{ Say::text('learn.quiz.title') }}">
    <h2>{{ Say::text('learn.quiz.title') }}</h2>
    <p class="_soft_ui _soft_learn">{{ $quiz['needed'] === null ? Say::text('learn.quiz.free') : Say::text('learn.quiz.needed', ['needed' => $quiz['needed']]) }} {{ $quiz['left'] === null ? Say::text('learn.quiz.as_often') : Say::text('learn.quiz.left', ['count' => $quiz['left']]) }}</p>
    @if ($quiz['last'] !== null)
        <p class="{{ $quiz['needed'] === null || $quiz['last'] >= $quiz['needed'] ? '_did_learn' : '_wrongly_ui' }}">{{ $quiz['band'] !== '' ? Say::text('learn.quiz.band', ['band' => $quiz['band'], 'last' => $quiz['last']]) : ($quiz['best'] !== null && $quiz['best'] > $quiz['last'] ? Say::text('learn.quiz.last_best', ['last' => $quiz['last'], 'best' => $quiz['best']]) : Say::text('learn.quiz.last', ['last' => $quiz['last']])) }}</p>
        @if ($quiz['bandWords'] !== '') <p>{{ $quiz['bandWords'] }}</p> @endif
    @endif
    @if ($quiz['again'] !== null) <p>{{ Say::text('learn.quiz.wait', ['at' => $quiz['again']]) }}</p> @endif
    <noscript>
        <form method="post" action="{{ $address }}">
            @csrf
            <input type="hidden" name="version" value="{{ $quiz['version'] }}">
            @isset($p['errors']['answers']) <p class="_wrongly_ui">{{ $p['errors']['answers'] }}</p> @endisset
            @foreach ($quiz['questions'] as $question)
                @php([$place, $said] = [$question['place'], implode(' ', [...($question['wrong'] ? [Say::text('learn.quiz.wrong')] : []), ...$question['told']])])
                @if ($question['kind'] === 'choice')
                    <fieldset class="_question_learn" @disabled(! $quiz['can']) @if ($said !== '') aria-describedby="told-{{ $place }}" @endif>
                        <legend>{{ $question['ask'] }}</legend>
                        @if ($question['several']) <p>{{ Say::text('learn.quiz.several') }}</p> @endif
                        @foreach ($question['answers'] as $at => $answer)
                            <div class="_tick_plain"><input id="answer-{{ $place }}-{{ $at }}" type="{{ $question['several'] ? 'checkbox' : 'radio' }}" name="answers[{{ $place }}][]" value="{{ $at }}" @required(! $question['several'])> <label for="answer-{{ $place }}-{{ $at }}">{{ $answer }}</label></div>
                        @endforeach
                        @if ($said !== '') <p id="told-{{ $place }}" class="{{ $question['wrong'] ? '_wrongly_ui' : '_did_learn' }}">{{ $said }}</p> @endif
                    </fieldset>
                @else
                    <div class="_question_learn">
                        <div class="_field_plain">
                            <label for="answer-{{ $place }}">{{ $question['ask'] }} ({{ Say::text($question['kind'] === 'number' ? 'learn.quiz.number' : 'learn.quiz.word') }})</label>
                            <input id="answer-{{ $place }}" name="answers[{{ $place }}][]" maxlength="200" autocomplete="off" @if ($question['kind'] === 'number') inputmode="decimal" @endif required @disabled(! $quiz['can'])>
                        </div>
                        @if ($said !== '') <p class="{{ $question['wrong'] ? '_wrongly_ui' : '_did_learn' }}">{{ $said }}</p> @endif
                    </div>
                @endif
            @endforeach
            @if ($quiz['can']) <div class="_quiz-acts_learn"><button class="_button_plain">{{ Say::text($quiz['last'] === null ? 'learn.quiz.hand_in' : 'learn.quiz.again') }}</button></div> @endif
        </form>
    </noscript>
</section>
