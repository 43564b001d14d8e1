<div class="card">
    <strong>{{ trim($head.' '.$of->planter->name) }}, {{ $of->isSafety() ? __('work.safe') : \App\Work\WorkWords::row($of->piece->row) }}</strong>
    <span class="quiet">{{ __('work.minutes', ['minutes' => $of->piece->minutes]) }}</span>
    @foreach ($of->stations() as $station)
        <div class="caution">{{ __("caution.{$station->value}") }}</div>
    @endforeach
    @if ($of->threads() !== '')
        <div class="caution"><strong>{{ $of->threads() }}</strong></div>
    @endif
    @if ($of->parts !== [])
        <div>{{ __('work.take') }}: {{ implode('; ', array_map(static fn (array $part): string => \App\Work\WorkWords::part($part[0], $part[1]), $of->parts)) }}</div>
    @endif
    @if ($of->tools() !== [])
        <div class="quiet">{{ implode(', ', array_map(static fn (string $tool): string => __("tool.{$tool}"), $of->tools())) }}</div>
    @endif
    @if ($of->steps !== [])
        <div>{{ __('work.off') }}: {{ implode(', ', array_map(static fn (array $step): string => trim(__("step.{$step[0]->name}").' '.\App\Work\WorkWords::side($step[1])), $of->steps)) }}</div>
        @foreach ($of->joints() as $step => $held)
            <div class="quiet">{{ __("step.{$step}") }}: {{ $held }}</div>
        @endforeach
    @endif
    @if ($of->looks() !== [])
        <div>{{ __('card.looks') }} {{ implode('; ', array_map(static fn (string $note): string => __("look_at.{$note}"), $of->looks())) }}.</div>
    @endif
    @if ($of->piece->own !== null)
        <div><span class="box">☐</span> {{ $of->title }}</div>
    @endif
    @foreach ($of->piece->jobs as $job)
        <div><span class="box">☐</span> {{ $words->jobInFull($job, $of->askedFor($job)) }}</div>
    @endforeach
    @if ($of->back() !== [])
        <div>{{ __('card.back') }} {{ implode('; ', array_map(static fn (string $note): string => __("put_back.{$note}"), $of->back())) }}.</div>
    @endif
    <div class="quiet">{{ __('work.done_by') }} ______________________</div>
</div>
