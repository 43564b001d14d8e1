@php
    $percent = static fn (float $share): string => number_format(100 * $share, 1);
    $air = static fn (?string $of): string => $of === null ? '' : rtrim(rtrim($of, '0'), '.');
    $told = static function (\App\Models\Bench\BenchRun $run) use ($percent, $air): string {
        $wrong = $run->counts()->wrong();

        return __('bench_report.run', [
            'share' => $percent(1 - $wrong->share), 'low' => $percent(1 - $wrong->high), 'high' => $percent(1 - $wrong->low), 'skips' => $run->skips, 'doubles' => $run->doubles, 'places' => $run->places,
        ]).($run->is_partial ? ' '.__('bench_report.partial') : '');
    };
@endphp
<!DOCTYPE html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ __('bench_report.title') }}</title>@include('print.style')</head>
<body>
    <h1>{{ __('bench_report.title') }}: {{ $planter->farm }} {{ $planter->name }}</h1>
    <p class="quiet">{{ $planter->workshop->name }}, {{ $day }}</p>
    @if ($lots === [])
        <p><strong>{{ __('bench_report.none') }}</strong></p>
    @else
        @foreach ($lots as $lot)
            <h2>{{ $lot['lot'] === '' ? __('bench_report.no_lot') : __('bench_report.lot', ['lot' => $lot['lot']]) }}</h2>
            <table>
                <thead><tr><th>{{ __('bench_report.row') }}</th><th>{{ __('bench_report.before') }}</th><th>{{ __('bench_report.after') }}</th><th>{{ __('bench_report.changed') }}</th></tr></thead>
                @foreach ($lot['meters'] as $row => $of)
                    <tr>
                        <td class="row">{{ $row }}</td>
                        <td>{{ $of['before'] === null ? __('bench_report.not_run') : $told($of['before']) }}</td>
                        <td>
                            {{ $of['after'] === null ? __('bench_report.not_run') : $told($of['after']) }}
                            @if ($of['isCompared'])
                                <br><span class="quiet">{{ __($of['isReal'] ? 'bench_report.real' : 'bench_report.luck') }}</span>
                            @endif
                        </td>
                        <td>{{ $of['changed'] === [] ? __('bench_report.nothing') : implode(', ', $of['changed']) }}</td>
                    </tr>
                @endforeach
            </table>
        @endforeach
        <h2>{{ __('bench_report.cab') }}</h2>
        <p class="caution">{{ __('caution.meter') }} {{ __('caution.first') }}</p>
        <table>
            <thead><tr><th>{{ __('bench_report.row') }}</th><th>{{ __('bench_report.seed') }}</th><th>{{ __('bench_report.disc') }}</th><th>{{ __('bench_report.air') }}</th></tr></thead>
            @foreach ($lots as $lot)
                @foreach ($lot['meters'] as $row => $of)
                    <tr>
                        <td class="row">{{ $row }}</td>
                        <td>{{ $lot['lot'] }}</td>
                        <td>{{ $of['last']->disc }}</td>
                        <td>
                            @if ($of['advice'] === null)
                                {{ __('bench_report.no_air') }}
                            @elseif ($of['advice']->isInSight)
                                {{ __('bench_report.advised', ['air' => $of['advice']->air, 'low' => round($of['advice']->low, 1), 'high' => round($of['advice']->high, 1)]) }}
                            @else
                                {{ __('bench_report.tried', ['air' => $air($of['last']->air)]) }}
                            @endif
                        </td>
                    </tr>
                @endforeach
            @endforeach
        </table>
    @endif
</body>
</html>
