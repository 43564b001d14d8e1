<?php

declare(strict_types=1);

namespace App\Wear;

use App\Models\Bench\SeedLot;
use App\Models\Plan\SeasonPlan;
use App\Models\Planter;
use App\Models\Wear\AcresEntry;
use App\Record\Affected;
use App\Record\Declared;
use App\Record\Envelope;
use App\Record\EventDefaults;
use App\Record\Fields;
use App\Record\Kind;
use App\Record\Refused;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Wear\Acres\AcresLine;
use Ustrel\Core\Wear\Acres\CropNames;
use Ustrel\Core\Wear\Acres\DownforceLevel;
use Ustrel\Core\Wear\Acres\Ground;
use Ustrel\Core\Wear\Acres\Residue;
use Ustrel\Core\Wear\Acres\Soil;
use Ustrel\Core\Wear\Acres\Tillage;
use Ustrel\Core\Wear\Acres\UnreadableAcresLine;

/** Fields that one planter has planted. */
#[Declared(AcresEntry::class, item: 'acres.line', gone: 'acres.gone')]
final readonly class AcresEvents implements Kind
{
    use EventDefaults;

    /** More than this no planter covers in a day. */
    private const MOST_ACRES = 10_000;

    /** Acres are kept to the thousandth. */
    private const PLACES = 3;

    private const FASTEST = 30;

    private const LONGEST_NAME = 80;

    private const LONGEST_LINE = 300;

    public function __construct(private Planter $planter)
    {
    }

    public function read(Fields $fields, Envelope $envelope): array
    {
        $told = $this->told($fields);
        $ground = self::ground($fields, $told?->ground);
        $acres = self::acres($told === null ? $fields->number('acres', 'acres.acres', ['acres' => $fields->said('acres')]) : round($told->acres, self::PLACES));

        $day = $this->day($told->day ?? $fields->day('day', 'acres.day'));

        return [
            'day' => $day->iso,
            'field' => self::name($told->field ?? $fields->text('field', self::LONGEST_NAME, 'acres.field')),
            'crop' => self::crop($told->crop ?? $fields->text('crop', self::LONGEST_NAME, 'acres.crop')),
            'acres' => $acres,
            'mph' => self::mph($told === null ? $fields->number('mph', 'acres.mph') : $told->mph),
            'soil' => $ground->soil?->value,
            'residue' => $ground->residue?->value,
            'tillage' => $ground->tillage?->value,
            'downforce' => $ground->downforce?->value,
            'severity' => number_format($ground->severity($this->planter->workshop->groundFactors()), 2, '.', ''),
            'own_severity' => $ground->own !== null,
            // While nobody says which were shut off, those that were parked ran nothing.
            'shares' => json_encode((object) ($fields->has('shut_off') ? $this->shares($fields) : array_fill_keys($this->planter->parkedOn($day), 0.0)), JSON_THROW_ON_ERROR),
        ] + LogFields::read($fields, $told, $this->planter, (float) $acres);
    }

    public function affect(array $rows, array $superseded, Affected $affected): void
    {
        foreach ([...$rows, ...$superseded] as $row) {
            $affected->acres(Day::of($row['day']));
        }
    }

    /** The line as it was told; null where field and acres are given apart. */
    private function told(Fields $fields): ?AcresLine
    {
        $line = $fields->text('line', self::LONGEST_LINE, 'acres.line');
        try {
            return $line === '' ? null : AcresLine::read($line, $this->planter->workshop->number_style, $this->crops());
        } catch (UnreadableAcresLine $unreadable) {
            throw Refused::line('line', 'acres_line', $unreadable);
        }
    }

    private function crops(): CropNames
    {
        $planned = SeasonPlan::query()->where('planter_id', $this->planter->id)->get()->flatMap(static fn (SeasonPlan $of): array => array_column($of->fields, 'crop'));
        $had = AcresEntry::current($this->planter->id)->whereNotNull('crop')->distinct()->pluck('crop');
        $lots = SeedLot::query()->where('workshop_id', $this->planter->workshop_id)->pluck('crop');

        return new CropNames(array_values($planned->concat($had)->concat($lots)->filter()->all()));
    }

    private function day(?Day $day): Day
    {
        $day ??= throw Refused::because('day', 'acres.day', ['day' => '']);

        return $this->planter->workshop->today()->isBefore($day) ? throw Refused::because('day', 'acres.day_ahead', ['day' => $this->planter->workshop->sayDay($day)]) : $day;
    }

    private static function name(string $field): string
    {
        return $field !== '' && mb_strlen($field) <= self::LONGEST_NAME ? $field : throw Refused::because('field', 'acres.field');
    }

    private static function crop(string $crop): ?string
    {
        return mb_strlen($crop) > self::LONGEST_NAME ? throw Refused::because('crop', 'acres.crop') : ($crop === '' ? null : $crop);
    }

    private static function acres(?float $acres): string
    {
        $acres ??= 0.0;
        if ($acres <= 0 || $acres > self::MOST_ACRES) {
            throw Refused::because('acres', 'acres.acres', ['acres' => rtrim(rtrim(number_format($acres, 4, '.', ','), '0'), '.')]);
        }
        if (abs($acres - round($acres, self::PLACES)) > 1e-9) {
            throw Refused::because('acres', 'acres.too_fine', ['acres' => (string) $acres]);
        }

        return number_format($acres, self::PLACES, '.', '');
    }

    private static function mph(?float $mph): ?string
    {
        // Slower than a tenth would be kept as standing still.
        return $mph === null || ($mph >= 0.1 && $mph <= self::FASTEST) ? ($mph === null ? null : number_format($mph, 1, '.', '')) : throw Refused::because('mph', 'acres.mph');
    }

    private static function ground(Fields $fields, ?Ground $told): Ground
    {
        $own = $fields->number('severity', 'acres.severity');
        if ($own !== null && ($own < Ground::MILDEST || $own > Ground::HARSHEST)) {
            throw Refused::because('severity', 'acres.severity');
        }

        return new Ground(
            $told->soil ?? $fields->oneOf('soil', Soil::class, 'acres.ground'),
            $told->residue ?? $fields->oneOf('residue', Residue::class, 'acres.ground'),
            $told->tillage ?? $fields->oneOf('tillage', Tillage::class, 'acres.ground'),
            $own,
            $told->downforce ?? $fields->oneOf('downforce', DownforceLevel::class, 'acres.ground'),
        );
    }

    /** @return array<int, float> by row, the share of the field that it ran */
    private function shares(Fields $fields): array
    {
        $shares = [];
        foreach ($fields->list('shut_off', 'acres.shut_off') as $part) {
            try {
                $group = Fields::of($part, 'acres.shut_off');
                $rows = $group->list('rows', 'acres.shut_off');
                $ran = $group->number('share', 'acres.shut_off') ?? throw Refused::because('', 'acres.shut_off');
            } catch (Refused $refused) {
                throw Refused::because('shut_off', 'acres.shut_off');
            }
            if ($rows === []) {
                throw Refused::because('shut_off', 'acres.shut_off');
            }
            foreach ($rows as $row) {
                $isRow = is_int($row) && $row >= 1 && $row <= $this->planter->row_count;
                $named = ['row' => is_int($row) ? $row : '?', 'rows' => $this->planter->row_count];
                match (true) {
                    ! $isRow => throw Refused::because('shut_off', 'acres.shut_off_row', $named),
                    $ran < 0 || $ran >= 1 => throw Refused::because('shut_off', 'acres.shut_off_share', $named),
                    isset($shares[$row]) => throw Refused::because('shut_off', 'acres.shut_off_twice', $named),
                    default => $shares[$row] = round($ran, 4),
                };
            }
        }
        ksort($shares);

        return $shares;
    }
}
