<?php

declare(strict_types=1);

namespace App\Field;

use App\Http\CsvSheet;
use App\Http\Paper;
use App\Models\Field\Setting;
use App\Models\Planter;
use Ustrel\Core\Measure\UnitSystem;

/** What is set on a planter now, for the cab or for a second planter. */
final readonly class SettingsSheet
{
    private const COLUMNS = ['setting', 'row', 'value', 'field', 'crop', 'soil', 'residue', 'since', 'note'];

    public function __construct(private SettingsQuery $settings)
    {
    }

    public function pdf(Planter $planter, UnitSystem $system): string
    {
        return Paper::pdf('print.settings', ['planter' => $planter, 'day' => $planter->workshop->dates()->full($planter->workshop->today()), 'lines' => $this->lines($planter, $system)]);
    }

    public function csv(Planter $planter, UnitSystem $system): string
    {
        return CsvSheet::of(self::COLUMNS, $this->lines($planter, $system));
    }

    /** @return list<array<value-of<self::COLUMNS>, string>> */
    private function lines(Planter $planter, UnitSystem $system): array
    {
        $words = new FigureWords($system);

        return array_map(static fn (Setting $of): array => [
            'setting' => __("setting.{$of->key->value}"), 'row' => $of->row_number === 0 ? '' : (string) $of->row_number, 'value' => $words->setting($of), 'field' => $of->field, 'crop' => $of->crop,
            'soil' => $of->soil === null ? '' : __("soil.{$of->soil->value}"), 'residue' => $of->residue === null ? '' : __("residue.{$of->residue->value}"),
            'since' => $of->happened_at->setTimezone($planter->workshop->time_zone)->toDateString(), 'note' => $of->note,
        ], SettingsQuery::now($this->settings->held($planter)));
    }
}
