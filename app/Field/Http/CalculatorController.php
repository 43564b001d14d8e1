<?php

declare(strict_types=1);

namespace App\Field\Http;

use App\Field\CalculatorFigures;
use App\Field\FigureWords;
use App\Http\Controller;
use App\Http\JsonBody;
use App\Models\Planter;
use App\Record\Fields;
use App\Record\Refused;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Ustrel\Core\Field\Calc\Calculation;
use Ustrel\Core\Field\Calc\Calculator;
use Ustrel\Core\Field\Calc\InvalidFigure;
use Ustrel\Core\Measure\UnitSystem;

final class CalculatorController extends Controller
{
    private const MOST_LISTED = 60;

    #[OA\Get(path: '/api/planters/{planter}/calculators', operationId: 'calculators', description: 'Filled with what the planter’s record knows', tags: ['field'])]
    #[OA\Parameter(name: 'units', in: 'query', required: true, schema: new OA\Schema(type: 'string', enum: UnitSystem::class))]
    #[OA\Response(response: 200, description: 'What each asks for', content: new OA\JsonContent(required: ['calculators'], properties: [
        new OA\Property(property: 'calculators', type: 'array', items: new OA\Items(ref: '#/components/schemas/Calculator')),
    ]))]
    public function index(Request $request, Planter $planter, CalculatorFigures $figures): JsonResponse
    {
        $system = self::system($request->query('units'));
        $known = $figures->of($planter->load(['specSheet', 'workshop']));

        return new JsonResponse(['calculators' => array_map(static fn (Calculation $of): CalculatorView => CalculatorView::of($of, $known, $system), Calculation::cases())]);
    }

    #[OA\Post(path: '/api/planters/{planter}/calculators/{calculation}', operationId: 'calculate', description: 'Nothing is kept', tags: ['field'])]
    #[OA\Parameter(name: 'calculation', in: 'path', required: true, schema: new OA\Schema(type: 'string', enum: Calculation::class))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['units', 'figures'], properties: [
        new OA\Property(property: 'units', description: 'That the figures are in', type: 'string', enum: UnitSystem::class),
        new OA\Property(property: 'figures', description: 'By key of input: a number, a list of numbers, or null', type: 'object'),
    ]))]
    #[OA\Response(response: 200, description: 'What it comes to', content: new OA\JsonContent(ref: '#/components/schemas/Worked'))]
    public function work(Request $request, Planter $planter, string $calculation): JsonResponse
    {
        $of = Calculation::tryFrom($calculation) ?? abort(404);
        $body = JsonBody::of($request);
        $system = self::system($body['units'] ?? null);
        $in = self::read($of, $body['figures'] ?? null, $system);
        try {
            $lines = Calculator::work($of, $in);
        } catch (InvalidFigure $invalid) {
            throw self::refusal($of, $invalid, new FigureWords($system));
        }

        return new JsonResponse(WorkedView::of($of, $in, $lines, $system));
    }

    private static function system(mixed $units): UnitSystem
    {
        return (is_string($units) ? UnitSystem::tryFrom($units) : null) ?? throw ValidationException::withMessages(['units' => __('refused.unknown_units')]);
    }

    /** @return array<string, list<float>|float|null> in the units of the inputs */
    private static function read(Calculation $calculation, mixed $figures, UnitSystem $system): array
    {
        $in = [];
        foreach ($calculation->inputs() as $input) {
            try {
                $fields = Fields::of($figures ?? [], 'calc.figures');
                $read = static fn (mixed $one): float => $input->unit->read(is_int($one) || is_float($one) ? (float) $one : throw Refused::because($input->key, 'calc.number'), $system);
                $in[$input->key] = match (true) {
                    ! $fields->has($input->key) => null,
                    $input->isList => array_map($read, array_slice($fields->list($input->key, 'calc.list'), 0, self::MOST_LISTED + 1)),
                    default => $read($fields->number($input->key, 'calc.number')),
                };
                if (is_array($in[$input->key]) && count($in[$input->key]) > self::MOST_LISTED) {
                    throw Refused::because($input->key, 'calc.too_many');
                }
            } catch (Refused $refused) {
                throw ValidationException::withMessages(["figures.{$input->key}" => __($refused->getMessage(), ['input' => __("calc_input.{$input->key}"), 'most' => self::MOST_LISTED])]);
            }
        }

        return $in;
    }

    private static function refusal(Calculation $calculation, InvalidFigure $invalid, FigureWords $words): ValidationException
    {
        $unit = array_column($calculation->inputs(), null, 'key')[$invalid->input]->unit ?? null;
        $with = array_map(static fn (float|int $figure): string => $unit === null || $invalid->fault !== 'range' ? (string) $figure : $words->said((float) $figure, $unit), $invalid->with);

        return ValidationException::withMessages(["figures.{$invalid->input}" => __("calc_fault.{$invalid->fault}", ['input' => __("calc_input.{$invalid->input}")] + $with)]);
    }
}
