import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import 'bootstrap/dist/css/bootstrap.min.css';
import '../.icons/icons.css';
import './styles/tokens.css';
import './styles/frame.css';
import './styles/pads.css';
import './styles/scene.css';
import './styles/drawn.css';
import './styles/round.css';
import './styles/sheets.css';
import './styles/findings.css';
import './styles/load.css';
import './styles/brief.css';
import './styles/vehicle.css';
import './styles/measure.css';
import './styles/layout.css';
import './styles/stances.css';
import './styles/training.css';
import './styles/variants.css';
import './styles/cases.css';
import './styles/power.css';
import './styles/range.css';
import './styles/build.css';
import './styles/bench.css';
import './styles/weigh.css';
import './styles/handover.css';
import './styles/touch.css';
import './styles/phone.css';
import './styles/print.css';

import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';

import { App } from './App';
import { startTheme } from './styles/theme';

startTheme();
const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
// The letters come first, so that no line breaks anew under the eye; without them it begins all the same.
const letters = ['400 1rem Barlow', '500 1rem Barlow', '600 1rem Barlow', "600 1rem 'Barlow Semi Condensed'"];
void Promise.allSettled(letters.map((font) => document.fonts.load(font))).then(() =>
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  ),
);
