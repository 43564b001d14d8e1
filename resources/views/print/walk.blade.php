<!DOCTYPE html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ $board->planter->name }}</title>@include('print.style')</head>
<body>
    <h1>{{ $board->planter->name }}, {{ $board->planter->farm }}</h1>
    <p class="quiet">
        {{ __("walk_kind.{$board->walk->kind->value}") }} {{ $board->season }}, started {{ $day($board->walk->started_at) }},
        {{ $board->walk->finished_at ? 'finished '.$day($board->walk->finished_at) : 'not finished' }}.
        {{ $board->rowCount }} rows. Printed {{ $day() }}.
        {{ __('print.typical') }}
    </p>
    <h2>{{ __('print.findings') }}</h2>
    @if ($findings === [])
        <p>{{ __('print.no_findings') }}</p>
    @else
        <p>
            @foreach (['failed', 'change', 'watch'] as $verdict)
                {{ $signs[$verdict] }} {{ __("verdict.{$verdict}") }}: {{ $counts[$verdict] ?? 0 }}@if (! $loop->last), @endif
            @endforeach
        </p>
        <table>
            <thead><tr><th>Row</th><th>What</th><th>Reading</th><th>Last time</th><th>Verdict</th><th>Why</th></tr></thead>
            <tbody>
                @foreach ($findings as $finding)
                    <tr>
                        <td class="row">{{ $finding['row'] ?: 'all' }}</td>
                        <td>{{ $finding['check'] }}</td>
                        <td>{{ $finding['reading'] }}</td>
                        <td>{{ $finding['last'] }}</td>
                        <td>{{ $signs[$finding['verdict']] }} {{ __("verdict.{$finding['verdict']}") }}</td>
                        <td>{{ $finding['reasons'] }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($notes !== [])
        <h2>{{ __('print.notes') }}</h2>
        @foreach ($notes as $note)
            <p>{{ $note->place->row ? "Row {$note->place->row}" : 'Planter' }}, {{ __("check.{$note->place->check->value}") }}: {{ __("note_kind.{$note->kind->value}") }}. {{ $note->text }} <span class="quiet">({{ $note->season }}, {{ $note->takenBy }})</span></p>
        @endforeach
    @endif
    @foreach ($blocks as $block)
        <h2 @class(['page' => $loop->first])>{{ $block['rows'] === [0] ? __('print.whole_planter') : __('print.figures', ['from' => min($block['rows']), 'to' => max($block['rows'])]) }}</h2>
        @include('print.block')
    @endforeach
</body>
</html>
