<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\StoredSitting;

/**
 * What was given in one sitting, as it is stored, to be checked under whatever edition.
 *
 * @phpstan-type GivenRow array{entry: string, try: int, value: string, counter: int, settled: bool, hints_opened: int, hand_credit: string|null, hand_levels: string|null, comment: string, saved_at: string, mark_version: int, millis: int|null, confidence: int|null, working: string|null, ...}
 */
final readonly class GivenAnswers
{
    /** @param list<GivenRow> $rows by entry and try */
    public function __construct(private array $rows)
    {
    }

    /** @return list<Answer> to the questions of the sitting's edition, under the rules that hold there */
    public function answers(StoredSitting $sitting): array
    {
        $rows = array_values(array_filter($this->rows, static fn (array $r): bool => $sitting->edition->has($r['entry'])));
        $given = [];
        foreach ($rows as $row) {
            $given[$row['entry']][$row['try']] = ResponseReader::fromArray(Json::decode($row['value']));
        }
        $checking = $sitting->checking($given);

        return array_map(static function (array $r) use ($given, $checking): Answer {
            $response = $given[$r['entry']][$r['try']];

            return self::answer($r, $response, $checking->outcome($r['entry'], $response, $r['try']));
        }, $rows);
    }

    /** @return list<array{entry: string, try: int, response: Response, edition: string}> to questions that are gone, each with the edition that still asked it */
    public function aside(): array
    {
        $aside = [];
        foreach ($this->rows as $row) {
            if (is_string($row['aside'] ?? null)) {
                $aside[] = [
                    'entry' => $row['entry'], 'try' => $row['try'],
                    'response' => ResponseReader::fromArray(Json::decode($row['value'])), 'edition' => $row['aside'],
                ];
            }
        }

        return $aside;
    }

    /** @param GivenRow $row */
    public static function answer(array $row, Response $response, Outcome $outcome): Answer
    {
        return new Answer(
            $row['entry'],
            $row['try'],
            $response,
            $row['counter'],
            $row['settled'],
            $outcome,
            $row['hand_credit'] === null ? null : BigRational::of($row['hand_credit']),
            $row['hand_levels'] === null ? null : Json::numbers($row['hand_levels']),
            $row['comment'],
            $row['hints_opened'],
            Moment::iso($row['saved_at']),
            $row['mark_version'],
            $row['millis'],
            $row['confidence'],
            $row['working'] === null ? null : ResponseReader::fromArray(Json::decode($row['working'])),
        );
    }
}
