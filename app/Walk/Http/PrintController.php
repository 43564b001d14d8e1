<?php

declare(strict_types=1);

namespace App\Walk\Http;

use App\Http\Controller;
use App\Models\Planter;
use App\Models\Walk\Walk;
use App\Walk\Board\Board;
use App\Walk\Board\BoardQuery;
use App\Walk\Board\Remarks;
use App\Walk\Export\PrintSheet;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

final class PrintController extends Controller
{
    #[OA\Get(path: '/api/walks/{walk}/sheet.pdf', operationId: 'printWalk', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'Findings and figures, to print', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')))]
    public function walk(Request $request, Walk $walk, BoardQuery $boards, Remarks $remarks): Response
    {
        $board = $boards->ofWalk($walk->load(['planter.specSheet', 'planter.workshop']), $walk->planter);

        return self::pdf($this->sheet($request, $board)->ofWalk($remarks), "{$board->planter->name} {$board->season} {$walk->kind->value}");
    }

    #[OA\Get(path: '/api/planters/{planter}/blank.pdf', operationId: 'printBlank', tags: ['walk'])]
    #[OA\Response(response: 200, description: 'An empty sheet with the planter\'s rows and the checks of its open walk, or all', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')))]
    public function blank(Request $request, Planter $planter, BoardQuery $boards): Response
    {
        $planter->load(['specSheet', 'workshop']);
        $walk = $planter->openWalk();
        $board = $walk === null ? $boards->unwalked($planter) : $boards->ofWalk($walk, $planter);
        $empty = new Board($planter, $board->walk, $board->sheet, $board->scope, $board->rowCount, $board->season, $board->places, [], [], $board->ribbon, $board->wholePlanter);

        return self::pdf($this->sheet($request, $empty)->blank(), "{$planter->name} blank");
    }

    private function sheet(Request $request, Board $board): PrintSheet
    {
        return new PrintSheet($board, $this->user($request)->units);
    }

    private static function pdf(string $content, string $name): Response
    {
        return new Response($content, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="'.Str::slug($name).'.pdf"',
        ]);
    }
}
