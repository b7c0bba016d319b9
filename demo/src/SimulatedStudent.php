<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** A made-up student: an ability, wrong ideas held, and a way of working. Draws come from a seed, so the story is always the same. */
final class SimulatedStudent
{
    private const FIRST_IDEAS = 18;

    private readonly Randomizer $random;
    private readonly Randomizer $habits;

    /**
     * @param list<string>         $ideas slugs of the misconceptions held
     * @param array<string, float> $skills offset in ability by skill
     * @param float                $pace   time taken beside a typical student’s
     */
    public function __construct(
        public readonly string $id,
        public readonly float $ability,
        public readonly array $ideas,
        public readonly array $skills,
        public readonly bool $rushes,
        public readonly float $pace,
        string $seed,
    ) {
        $this->random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true)));
        // A source of its own: how long a student takes must not change what they answer.
        $this->habits = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'habits|'.$seed, true)));
    }

    /**
     * @param list<string>         $allIdeas
     * @param array<string, float> $skills
     */
    public static function born(string $id, string $name, float $lean, array $allIdeas, array $skills): self
    {
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'born|'.$name, true)));
        // The sum of twelve uniforms is near enough a normal draw for a story.
        $ability = $lean - 6.0;
        for ($i = 0; $i < 12; ++$i) {
            $ability += ($random->getInt(0, 999_999) / 1e6);
        }
        // Ideas that joined the story later are drawn from a source of their own: what was told before stays as it was.
        $later = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'later|'.$name, true)));
        $ideas = [];
        foreach ($allIdeas as $i => $idea) {
            $draw = ($i < self::FIRST_IDEAS ? $random : $later)->getInt(0, 999_999) / 1e6;
            if ($draw < 0.16 - 0.05 * max(-1.5, min(1.5, $ability))) {
                $ideas[] = $idea;
            }
        }

        return new self(
            $id,
            $ability,
            $ideas,
            $skills,
            ($random->getInt(0, 999_999) / 1e6) < 0.045,
            ($random->getInt(0, 999_999) / 1e6) < 0.04 ? 2.6 : exp(0.5 * ($random->getInt(0, 999_999) / 1e6 - 0.5)),
            'sits|'.$name,
        );
    }

    public function chance(): float
    {
        return $this->random->getInt(0, 999_999) / 1e6;
    }

    /**
     * How long an answer takes.
     *
     * @param array<array-key, mixed> $question as in bank.yaml
     *
     * @return int milliseconds
     */
    public function time(array $question): int
    {
        $habit = $this->habits->getInt(0, 999_999) / 1e6;
        if ($this->rushes && $this->habits->getInt(0, 9) < 7) {
            return (int) (700 + 1200 * $habit);
        }
        $seconds = match (true) {
            isset($question['gives']) => 70.0,
            isset($question['options']) => 24.0,
            isset($question['number']) => 55.0,
            isset($question['forms']) => 28.0,
            default => 120.0,
        };
        $difficulty = is_numeric($question['difficulty'] ?? null) ? (float) $question['difficulty'] : 0.0;

        return (int) (1000 * $seconds * $this->pace * exp(0.3 * $difficulty + 1.2 * ($habit - 0.5)));
    }

    /**
     * How sure the student is: able ones rightly, those with a wrong idea wrongly.
     *
     * @param array<array-key, mixed> $question as in bank.yaml
     *
     * @return int|null 1 to 3; null where the question does not ask
     */
    public function confidence(array $question): ?int
    {
        if (($question['confidence'] ?? false) !== true) {
            return null;
        }
        $named = array_filter(
            array_merge(...array_map(
                static fn (mixed $o): array => is_array($o) ? $o : [],
                array_values(is_array($question['options'] ?? null)
                    ? $question['options']
                    : (is_array($question['targets'] ?? null) ? $question['targets'] : [])),
            )),
            is_string(...),
        );
        $convinced = array_intersect($this->ideas, $named) !== [] ? 0.35 : 0.0;
        $difficulty = is_numeric($question['difficulty'] ?? null) ? (float) $question['difficulty'] : 0.0;
        $feel = $convinced + 1 / (1 + exp(-1.2 * ($this->ability - $difficulty))) + 0.6 * ($this->habits->getInt(0, 999_999) / 1e6 - 0.5);

        return $feel > 0.62 ? 3 : ($feel > 0.35 ? 2 : 1);
    }

    /**
     * @param array<array-key, mixed> $question as in bank.yaml
     *
     * @return array<string, mixed>|null a response; null leaves it blank
     */
    public function answer(array $question): ?array
    {
        $difficulty = is_numeric($question['difficulty'] ?? null) ? (float) $question['difficulty'] : 0.0;
        $skill = is_string($question['skill'] ?? null) ? $question['skill'] : '';
        $ability = $this->ability + ($this->skills[$skill] ?? 0.0);
        $p = $this->rushes ? 0.3 : 1 / (1 + exp(-1.5 * ($ability - $difficulty + 0.5)));
        if ($this->chance() < ($this->rushes ? 0.01 : 0.03 - 0.01 * $ability)) {
            return null;
        }

        return match (true) {
            isset($question['gives']) => $this->give($question, $p),
            isset($question['options']) => $this->choose($question, $p),
            isset($question['number']) => $this->reckon($question, $p),
            isset($question['forms']) => $this->spell($question, $p),
            default => $this->explain($question, $ability),
        };
    }

    /**
     * One of the answers that the scenario knows, the first of which is right: the one of an idea that is held, or as able as one is.
     *
     * @param array<array-key, mixed> $question
     *
     * @return array<string, mixed>
     */
    private function give(array $question, float $p): array
    {
        $known = [];
        foreach (is_array($question['gives'] ?? null) ? $question['gives'] : [] as $one) {
            $known[] = is_array($one) ? array_values($one) : [];
        }
        $answer = static function (int $i) use ($known): array {
            $response = Scenario::map($known[$i][0] ?? null);

            return array_combine(array_map(strval(...), array_keys($response)), array_values($response));
        };
        // Some wrong answers lie near at hand for anybody, whatever they hold to be true; drawn apart, so that other answers stay.
        $lure = Scenario::map($question['lure'] ?? null);
        if (is_int($lure['answer'] ?? null) && is_int($lure['percent'] ?? null) && $this->habits->getInt(0, 99) < $lure['percent']) {
            return $answer($lure['answer']);
        }
        foreach ($known as $i => $one) {
            if (is_string($one[1] ?? null) && in_array($one[1], $this->ideas, true) && $this->chance() < 0.75) {
                return $answer($i);
            }
        }

        return $answer($this->chance() < $p || count($known) < 2 ? 0 : $this->random->getInt(1, count($known) - 1));
    }

    /**
     * @param array<array-key, mixed> $question
     *
     * @return array{options: list<string>}
     */
    private function choose(array $question, float $p): array
    {
        $options = is_array($question['options'] ?? null) ? array_values($question['options']) : [];
        $key = is_int($question['truth'] ?? null) ? $question['truth'] : 0;
        $rival = $question['rival'] ?? null;
        if (is_int($rival) && $this->chance() < 0.46) {
            return ['options' => ['o'.($rival + 1)]];
        }
        foreach ($options as $i => $option) {
            $idea = is_array($option) ? ($option[1] ?? null) : null;
            if (is_string($idea) && in_array($idea, $this->ideas, true) && $this->chance() < 0.75) {
                return ['options' => ['o'.($i + 1)]];
            }
        }
        if ($this->chance() < $p) {
            return ['options' => ['o'.($key + 1)]];
        }
        $wrong = array_values(array_filter(array_keys($options), static fn (int $i): bool => $i !== $key));

        return ['options' => ['o'.($wrong[$this->random->getInt(0, count($wrong) - 1)] + 1)]];
    }

    /**
     * @param array<array-key, mixed> $question
     *
     * @return array{text: string}
     */
    private function reckon(array $question, float $p): array
    {
        $number = is_array($question['number'] ?? null) ? $question['number'] : [];
        $value = is_string($number['value'] ?? null) ? $number['value'] : '0';
        $unit = is_string($number['unit'] ?? null) ? $number['unit'] : '';
        $required = ($number['use'] ?? '') === 'required';
        $targets = is_array($question['targets'] ?? null) ? array_values($question['targets']) : [];
        foreach ($targets as $target) {
            if (is_array($target) && is_string($target[1] ?? null) && in_array($target[1], $this->ideas, true) && $this->chance() < 0.75) {
                return ['text' => $this->written(is_string($target[0] ?? null) ? $target[0] : '0', $unit, $required)];
            }
        }
        if ($this->chance() < $p) {
            return ['text' => $this->written($value, $unit, $required)];
        }
        $target = $targets === [] ? null : $targets[$this->random->getInt(0, count($targets) - 1)];
        if (is_array($target) && is_string($target[0] ?? null) && $this->chance() < 0.5) {
            return ['text' => $this->written($target[0], $unit, $required)];
        }

        return ['text' => $this->written((string) round((float) $value * (0.5 + $this->chance()), 1), $unit, $required)];
    }

    private function written(string $value, string $unit, bool $required): string
    {
        $roll = $this->chance();

        return match (true) {
            $required && $roll < 0.06 => $value,
            $unit === '' || (!$required && $roll < 0.45) => $value,
            $roll < 0.8 => $value.' '.$unit,
            default => $value.$unit,
        };
    }

    /**
     * @param array<array-key, mixed> $question
     *
     * @return array{text: string}
     */
    private function spell(array $question, float $p): array
    {
        $forms = is_array($question['forms'] ?? null) ? array_values($question['forms']) : [];
        $variants = array_values(array_filter(is_array($question['variants'] ?? null) ? $question['variants'] : [], is_string(...)));
        $roll = $this->chance();
        if ($roll < $p * 0.7) {
            return ['text' => is_array($forms[0] ?? null) && is_string($forms[0][0] ?? null) ? $forms[0][0] : ''];
        }
        if ($roll < $p && $variants !== []) {
            return ['text' => $variants[$this->random->getInt(0, count($variants) - 1)]];
        }
        $form = $forms[$this->random->getInt(0, count($forms) - 1)] ?? null;

        return ['text' => $roll < 0.85 && is_array($form) && is_string($form[0] ?? null) ? $form[0] : 'Gannet Bank'];
    }

    /**
     * @param array<array-key, mixed> $question
     *
     * @return array{text: string}
     */
    private function explain(array $question, float $ability): array
    {
        $answers = is_array($question['answers'] ?? null) ? array_values($question['answers']) : [];
        $best = count($answers) - 1;
        // The answers stand in rising quality; a student lands near the one that fits.
        $at = (int) round($best * (1 / (1 + exp(-$ability)) + ($this->chance() - 0.5) * 0.55));
        $answer = $answers[max(0, min($best, $at))] ?? null;
        $text = is_array($answer) && is_string($answer[2] ?? null) ? $answer[2] : '';
        $roll = $this->chance();

        return ['text' => match (true) {
            $roll < 0.2 => lcfirst(rtrim($text, '.')),
            $roll < 0.3 => 'I think '.lcfirst($text),
            $roll < 0.38 => str_replace('because', 'cause', $text),
            default => $text,
        }];
    }
}
