import { useTranslation } from 'react-i18next';
import { ToggleGroup } from '../../kit/controls/index.ts';
import { themes, usePreferences } from '../../preferences.ts';
import { languages } from '../../words/index.ts';

/** Language and colours, on the dark ground of the rail. */
export function ChoicesOfLook() {
  const { t } = useTranslation('shell');
  const { language, theme, choose } = usePreferences();
  return (
    <div className="flex flex-col gap-1.5">
      <ToggleGroup
        isOnRail
        label={t('language')}
        value={language}
        onChange={(code) => choose({ language: code })}
        options={languages.map((code) => ({
          value: code,
          label: { en: 'English', es: 'Español' }[code],
          lang: code,
        }))}
      />
      <ToggleGroup
        isOnRail
        label={t('colors')}
        value={theme}
        onChange={(name) => choose({ theme: name })}
        options={themes.map((name) => ({ value: name, label: t(`theme.${name}`) }))}
      />
    </div>
  );
}
