<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\GoBack;

/** Reads a paper from its JSON form. A draft may be unfinished; what is wrong with it is for {@see PaperProof} to say. */
final class PaperReader
{
    public const VERSION = 1;
    private const MOST_SECTIONS = 60;
    private const MOST_ENTRIES = 100;
    private const MOST_PLANNED = 40;
    private const MOST_FOLLOW_UPS = 20;

    /**
     * @param array<array-key, mixed> $json
     *
     * @throws \ChalkLadder\Core\Document\DocumentInvalid
     */
    public static function read(array $json): Paper
    {
        $node = new Node($json);
        $node->int('version', self::VERSION, self::VERSION);
        $title = $node->text('title', 120, '');
        /** @var array<string, true> $ids */
        $ids = [];
        $sections = [];
        foreach ($node->children('sections', self::MOST_SECTIONS) as $section) {
            $sections[] = self::section($section, $ids);
        }
        $mastery = $node->has('mastery') ? self::mastery($node->child('mastery')) : null;
        $plan = $node->has('plan') ? self::plan($node->children('plan', self::MOST_PLANNED)) : [];
        $followUps = $node->has('followUps') ? array_map(FollowUp::read(...), $node->children('followUps', self::MOST_FOLLOW_UPS)) : [];
        $node->rejectUnknown();
        $node->finish();

        return new Paper($title, $sections, $mastery, $plan, $followUps);
    }

    /**
     * @param list<Node> $lines
     *
     * @return list<Planned>
     */
    private static function plan(array $lines): array
    {
        $plan = [];
        foreach ($lines as $line) {
            $skill = $line->text('skill', 36);
            if (isset($plan[$skill])) {
                $line->fault('skill', 'This skill is planned above.');
            }
            $plan[$skill] = new Planned($skill, $line->rational('marks', '0', '1000'));
            $line->rejectUnknown();
        }

        return array_values($plan);
    }

    /** @param array<string, true> $ids */
    private static function section(Node $node, array &$ids): Section
    {
        $id = self::id($node, $ids);
        $entries = [];
        foreach ($node->children('entries', self::MOST_ENTRIES) as $entry) {
            $entries[] = self::entry($entry, $ids);
        }
        $route = null;
        if ($node->has('route')) {
            $route = Route::read($node->child('route'));
        }
        $drawing = $node->has('drawing') ? Drawing::read($node->child('drawing')) : null;
        $section = new Section($id, $node->text('title', 120, ''), $entries, $route, $drawing, $node->text('instructions', Section::LONGEST, ''));
        $node->rejectUnknown();

        return $section;
    }

    /** @param array<string, true> $ids */
    private static function entry(Node $node, array &$ids): Entry
    {
        $id = self::id($node, $ids);
        if ($node->oneOf('kind', ['question', 'source']) === 'question') {
            $entry = Entry::question(
                $id,
                $node->text('item', 36),
                $node->rational('points', '0', '100'),
                $node->bool('pinned', false),
                $node->bool('breaks', false),
                $node->has('looksAt') ? Anchor::read($node->child('looksAt')) : null,
            );
        } else {
            $s = $node->child('source');
            $entry = Entry::source(
                $id,
                new Source(
                    $s->text('title', 120, ''),
                    $s->text('html', GoBack::LONGEST, ''),
                    $s->textOrNull('picture', 36),
                    $s->text('alt', 1000, ''),
                    $s->textOrNull('file', 36),
                    $s->bool('stops', false),
                    self::glossary($s->children('glossary', Source::MOST_WORDS)),
                    $s->bool('inOrder', false),
                    $s->has('board') ? Board::read($s->child('board')) : null,
                    Link::read($s, 'link'),
                    array_map(Piece::read(...), $s->children('pieces', Piece::MOST)),
                ),
                $node->bool('breaks', false),
            );
            $s->rejectUnknown();
        }
        $node->rejectUnknown();

        return $entry;
    }

    /**
     * @param list<Node> $lines
     *
     * @return list<array{word: string, meaning: string}>
     */
    private static function glossary(array $lines): array
    {
        $glossary = [];
        foreach ($lines as $line) {
            $glossary[] = ['word' => $line->text('word', 60), 'meaning' => $line->text('meaning', 300)];
            $line->rejectUnknown();
        }

        return $glossary;
    }

    private static function mastery(Node $node): MasteryRule
    {
        $credits = [];
        foreach ($node->texts('credits', 6, 20) as $i => $text) {
            try {
                $credit = preg_match('#^\d{1,3}(?:\.\d{1,6}|/\d{1,3})?$#D', $text) === 1 ? BigRational::of($text) : null;
            } catch (MathException) {
                $credit = null;
            }
            if ($credit === null || $credit->isGreaterThan(1)) {
                $node->fault('credits.'.$i, 'Each share must be a number from 0 to 1, such as 1/2.');

                continue;
            }
            $credits[] = $credit;
        }
        if ($credits === []) {
            $node->fault('credits', 'Say what the first try earns.');
            $credits = [BigRational::one()];
        }
        $rule = new MasteryRule(
            $node->int('returns', 1, MasteryRule::MOST_RETURNS),
            $credits,
            $node->has('shown') ? SkillMastery::read($node->child('shown')) : null,
            $node->bool('otherNumbers', false),
            $node->int('gap', 0, MasteryRule::MOST_GAP, 0),
        );
        $node->rejectUnknown();

        return $rule;
    }

    /** @param array<string, true> $ids */
    private static function id(Node $node, array &$ids): string
    {
        $id = $node->text('id', 36);
        if (preg_match('/^[a-z0-9][a-z0-9-]{0,35}$/D', $id) !== 1 || $id === Route::END || isset($ids[$id])) {
            $node->fault('id', 'Each part needs an id of its own: letters a–z, digits and hyphens.');
        }
        $ids[$id] = true;

        return $id;
    }
}
