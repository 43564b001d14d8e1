<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Models\PartType;
use App\Models\Planter;
use App\Models\User;
use App\Parts\EventIntake;
use App\Parts\RecordEvents;
use App\Record\RecordProjector;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Parts\ImpossibleLedger;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\Side;

/** Part changes of past seasons. */
final class ChangeLines implements Lines
{
    /** More lines than these that do not go with the ledger, and the file is another planter's. */
    private const MOST_IMPOSSIBLE = 100;

    private readonly EventIntake $intake;

    /** @var array<string, int> ids of part types, by name and by own number in small letters */
    private readonly array $types;

    /** @var array<string, int> line numbers, by event */
    private array $lines = [];

    private ?string $earliest = null;

    public function __construct(
        private readonly Planter $planter,
        private readonly User $by,
        private readonly RecordProjector $projector,
        private readonly LineIds $ids,
    ) {
        $this->intake = new EventIntake($planter, $by);
        $types = PartType::query()->where('workshop_id', $planter->workshop_id)->get();
        $this->types = $types->whereNotNull('own_number')->mapWithKeys(static fn (PartType $type): array => [mb_strtolower($type->own_number) => $type->id])->all()
            + $types->mapWithKeys(static fn (PartType $type): array => [mb_strtolower($type->name) => $type->id])->all();
    }

    public function read(LineFields $line): ReadLine
    {
        $day = $line->day('date') ?? $line->needed('date');
        $removed = $line->day('removed');
        $slot = self::slot($line);
        $part = $line->text('part');
        $item = [
            'kind' => 'fitted',
            'happened_at' => "{$day}T12:00:00Z",
            'row' => $line->wholeNumber('row'),
            'slot' => $slot->value,
            'side' => self::side($line, $slot)->value,
            'part_type_id' => $part === null ? null : $this->types[mb_strtolower($part)] ?? throw RefusedLine::because('unknown_part', ['text' => $part]),
            'size' => $line->text('size'),
            'reason' => self::reason($line),
            'cost' => $line->number('cost'),
            'note' => $line->text('note') ?? '',
        ];
        if (mb_strlen($item['note']) > 1000) {
            throw RefusedLine::because('long_note', ['letters' => number_format(mb_strlen($item['note']))]);
        }
        if ($removed !== null && $removed <= $day) {
            throw RefusedLine::because('removed_before_fitted', ['day' => $day, 'removed' => $removed]);
        }
        $item['id'] = $this->ids->of(json_encode([$item, $removed], JSON_THROW_ON_ERROR));
        try {
            $fitted = $this->intake->row(0, array_filter($item, static fn (mixed $value): bool => $value !== null));
        } catch (ValidationException $refused) {
            throw new RefusedLine($refused->validator->errors()->first());
        }
        if ($fitted['cost'] !== null && (float) $fitted['cost'] < 0) {
            throw RefusedLine::because('no_number', ['text' => (string) $line->text('cost')]);
        }

        return new ReadLine(['id' => $item['id'], 'fitted' => $fitted, 'removed' => $removed]);
    }

    public function keep(array $read): int
    {
        $fitted = $removed = [];
        foreach ($read as $number => ['id' => $id, 'fitted' => $event, 'removed' => $day]) {
            $this->lines[$id] = $number;
            $this->earliest = min($this->earliest ?? $event['happened_at'], $event['happened_at']);
            $fitted[] = $event;
            if ($day !== null) {
                $removed[] = [
                    'id' => $this->ids->named("removed {$id}"), 'kind' => 'removed', 'fitting_id' => $id, 'happened_at' => "{$day} 12:00:00.000+00", 'reason' => $event['reason'] ?? RemovalReason::Other->value,
                    'part_id' => null, 'part_type_id' => null, 'size' => null, 'size_typed' => null, 'cost' => null, 'note' => '',
                ] + $event;
                $this->lines[$this->ids->named("removed {$id}")] = $number;
            }
        }
        $kept = DB::table('ledger_events')->insertOrIgnore($fitted);
        DB::table('ledger_events')->insertOrIgnore($removed);

        return $kept;
    }

    public function finish(): array
    {
        /** @var array<int, string> $impossible */
        $impossible = [];
        while ($this->earliest !== null) {
            try {
                $this->project();
                break;
            } catch (ImpossibleLedger $fault) {
                $number = $this->lines[$fault->event] ?? null;
                if ($number === null || count($impossible) >= self::MOST_IMPOSSIBLE) {
                    throw new RefusedFile(RecordEvents::worded($fault));
                }
                $impossible[$number] = RecordEvents::worded($fault);
                $events = array_keys($this->lines, $number, true);
                DB::table('ledger_events')->whereIn('id', $events)->whereNotNull('fitting_id')->delete();
                DB::table('ledger_events')->whereIn('id', $events)->delete();
            }
        }

        return $impossible;
    }

    /**
     * In a savepoint: what cannot be true is taken out and the rest tried again.
     *
     * @throws ImpossibleLedger
     */
    private function project(): void
    {
        DB::beginTransaction();
        try {
            $this->projector->project($this->planter, CarbonImmutable::parse($this->earliest));
        } catch (ImpossibleLedger $impossible) {
            DB::rollBack();

            throw $impossible;
        }
        DB::commit();
    }

    private static function slot(LineFields $line): Slot
    {
        $text = $line->needed('slot');
        foreach (Slot::cases() as $slot) {
            if (in_array(mb_strtolower(trim($text)), [$slot->value, strtr($slot->value, '_', ' '), mb_strtolower(__("slot.{$slot->value}"))], true)) {
                return $slot;
            }
        }

        throw RefusedLine::because('unknown_slot', ['text' => $text]);
    }

    private static function side(LineFields $line, Slot $slot): Side
    {
        $text = mb_strtolower($line->text('side') ?? '');

        return match (true) {
            in_array($text, ['l', 'left'], true) => Side::Left,
            in_array($text, ['r', 'right'], true) => Side::Right,
            $text === '' && count($slot->sides()) > 1 => throw RefusedLine::because('no_side', ['check' => __("slot.{$slot->value}"), 'sides' => 'left, right']),
            default => Side::Centre,
        };
    }

    private static function reason(LineFields $line): ?string
    {
        $text = $line->text('reason');
        if ($text === null) {
            return null;
        }
        foreach (RemovalReason::cases() as $reason) {
            if (in_array(mb_strtolower($text), [$reason->value, strtr($reason->value, '_', ' '), mb_strtolower(__("removal.{$reason->value}"))], true)) {
                return $reason->value;
            }
        }

        throw RefusedLine::because('unknown_word', [
            'text' => $text, 'field' => __('import.field.reason'), 'known' => implode(', ', array_map(static fn (RemovalReason $reason): string => strtr($reason->value, '_', ' '), RemovalReason::cases())),
        ]);
    }
}
