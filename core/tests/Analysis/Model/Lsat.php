<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis\Model;

use ChalkLadder\Core\Analysis\Model\Binary;

/**
 * Section 6 of the Law School Admission Test, 1000 candidates × 5 questions: Bock & Lieberman, Psychometrika 35 (1970),
 * 179–197, table 1.
 */
final class Lsat
{
    private const COUNTS = [
        '00000' => 3, '00001' => 6, '00010' => 2, '00011' => 11, '00100' => 1, '00101' => 1, '00110' => 3, '00111' => 4, '01000' => 1,
        '01001' => 8, '01011' => 16, '01101' => 3, '01110' => 2, '01111' => 15,
        '10000' => 10, '10001' => 29, '10010' => 14, '10011' => 81, '10100' => 3, '10101' => 28, '10110' => 15, '10111' => 80,
        '11000' => 16, '11001' => 56, '11010' => 21, '11011' => 173, '11100' => 11, '11101' => 61, '11110' => 28, '11111' => 298,
    ];

    public static function data(): Binary
    {
        $rows = [];
        foreach (self::COUNTS as $pattern => $count) {
            array_push($rows, ...array_fill(0, $count, array_map(intval(...), str_split((string) $pattern))));
        }

        return new Binary(['1', '2', '3', '4', '5'], $rows);
    }
}
